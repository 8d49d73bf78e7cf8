import type { Instant } from '../quantity/instant';
import type { TempUnit } from '../units/units';

/** How a batch is kept: turned heap, aerated and not turned, closed and mechanically mixed. */
export const METHODS = ['turned', 'static', 'vessel'] as const;
export type Method = (typeof METHODS)[number];

export const POINT_ZONES = ['core', 'middle', 'edge'] as const;
export type PointZone = (typeof POINT_ZONES)[number];

export type Point = {
  readonly id: string;
  readonly label?: string | undefined;
  readonly depthM?: number | undefined;
  readonly zone?: PointZone | undefined;
};

/** A thermometer held against a reference: °C both. */
export type ProbeCheck = {
  readonly at: Instant;
  readonly referenceC: number;
  readonly readC: number;
};
export type Probe = { readonly id: string; readonly checks: readonly ProbeCheck[] };

/** One value at one place, as it was typed. */
export type Reading = {
  readonly id: string;
  readonly at: Instant;
  readonly point: string;
  readonly probe?: string | undefined;
  readonly value: number;
  readonly unit: TempUnit;
  readonly round?: string | undefined;
  readonly flag?: 'superseded' | 'rejected' | undefined;
  readonly recordedAt?: Instant | undefined;
  /** A trainee read it, and nobody else has checked it yet: it may hurt and cannot help. */
  readonly toCheck?: true | undefined;
};

export const MOISTURE_STATES = ['dry', 'moist', 'wet'] as const;

type EventBase = { readonly id: string; readonly at: Instant };
/** What was done to a heap. Types that a verdict does not look at share one shape. */
export type BatchEvent =
  | (EventBase & { readonly type: 'turn'; readonly full: boolean })
  | (EventBase & {
      readonly type: 'add';
      readonly raw: boolean;
      readonly seeds?: boolean | undefined;
      readonly what?: string | undefined;
    })
  | (EventBase & {
      readonly type: 'water';
      readonly clean: boolean;
      readonly seeds?: boolean | undefined;
      readonly litres?: number | undefined;
    })
  | (EventBase & {
      readonly type: 'merge';
      readonly withProven: boolean;
      readonly seeds?: boolean | undefined;
      readonly what?: string | undefined;
    })
  | (EventBase & { readonly type: 'moisture'; readonly state: (typeof MOISTURE_STATES)[number] })
  | (EventBase & { readonly type: 'note' | 'move' | 'cover' | 'screen' | 'cure' });

/** What recontaminates: germs or seeds (contract, section 1). */
export type Clock = 'germs' | 'seeds';

/** The evidence policy of a site (contract, section 2), every field filled. */
export type Policy = {
  readonly combine: 'coldest' | 'mean' | 'median';
  readonly minPoints: number;
  readonly roundMinutes: number;
  readonly maxGapHours: number;
  readonly turnGraceHours: number;
  readonly guardBandC: number;
  readonly counting: 'hours' | 'days';
  readonly maxBlankDays: number;
  readonly calibrationDays: number | null;
  readonly zones: readonly PointZone[];
};

/** All that a verdict is computed from. Times are instants; nothing here is rounded or corrected yet. */
export type Evidence = {
  readonly timeZone: string;
  /** For texts only. */
  readonly unit: TempUnit;
  readonly method: Method;
  readonly builtAt: Instant;
  /** `windrow` or another word; undefined: not known. */
  readonly shape?: string | undefined;
  /** Greatest depth to the surface, m. */
  readonly coreDepthM?: number | undefined;
  readonly policy: Policy;
  readonly points: readonly Point[];
  readonly probes: readonly Probe[];
  readonly readings: readonly Reading[];
  readonly events: readonly BatchEvent[];
  readonly ambient: readonly {
    readonly at: Instant;
    readonly value: number;
    readonly unit: TempUnit;
  }[];
};
