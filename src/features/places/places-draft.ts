import { say } from '@/messages/say';
import { shownQuantity, signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import type { PointZone } from '@/core/evidence/types';
import {
  depthInZone,
  freshPlaceId,
  placeLabel,
  planDoubts,
  proposePlan,
  rowStretchesOf,
  type Border,
} from '@/core/heap/plan';
import type { Side } from '@/core/log/shapes';

/** The places of a round as they are typed, and what follows from them. Pure: the form only shows it. */

export type PlacesScreen = {
  readonly plan: readonly {
    readonly id: string;
    readonly label: string;
    readonly zone: PointZone | null;
    readonly side: string | null;
    readonly depthM: number | null;
    readonly alongM: number | null;
  }[];
  /** Every id that a place of this heap ever had. */
  readonly taken: readonly string[];
  readonly withReadings: readonly string[];
  readonly shape: string | null;
  readonly coreDepthM: number | null;
  readonly lengthM: number | null;
  readonly minPoints: number;
  /** Longest thermometer in service, m. */
  readonly stemM: number | null;
  readonly borders: readonly Border[];
  readonly settings: {
    readonly stretchM: number;
    readonly borderM: number;
    readonly altitudeM: number;
  };
};
type PlannedPlace = PlacesScreen['plan'][number];

/** A place as it is typed; `was`: the one of the plan in force that it is, or was made from. */
export type PlaceDraft = {
  readonly key: string;
  readonly was: PlannedPlace | null;
  readonly zone: PointZone;
  readonly side: Side | '';
  readonly depth: string;
  readonly along: string;
};

/** A place as it will be kept. */
type PlannedPoint = {
  readonly id: string;
  readonly label: string;
  readonly zone: PointZone;
  readonly side?: Side;
  readonly depthM?: number;
  readonly alongM?: number;
};

/** What is typed: the plan that it makes, what each row has wrong, and what the plan cannot show. */
export type PlacesReading = {
  readonly points: readonly PlannedPoint[];
  /** By row; null: nothing. */ readonly problems: readonly (string | null)[];
  readonly doubts: ReturnType<typeof planDoubts>;
  /** Places with readings that are read no more. */ readonly gone: readonly PlannedPlace[];
  readonly ready: boolean;
};

/** Metres as typed; null: empty. What is no number is NaN. */
export function readMetres(text: string): number | null {
  const metres = typedQuantity('length', text);
  return metres === undefined ? null : (metres ?? NaN);
}
const text = (metres: number | null | undefined): string =>
  metres === null || metres === undefined ? '' : shownQuantity('length', metres);

const draftOf = (p: PlannedPlace): PlaceDraft => ({
  key: p.id,
  was: p,
  zone: p.zone ?? 'middle',
  side: (p.side ?? '') as Side | '',
  depth: text(p.depthM),
  along: text(p.alongM),
});
/** The plan in force, as it opens to be changed. */
export const draftOfPlan = ({ plan }: Pick<PlacesScreen, 'plan'>): PlaceDraft[] =>
  plan.map(draftOf);

const newPlace = (key: string, zone: PointZone, depthM: number | undefined): PlaceDraft => ({
  key,
  was: null,
  zone,
  side: '',
  depth: text(depthM),
  along: '',
});
/** A place more, midway to the core. @param key no other place’s */
export const anotherPlace = ({ coreDepthM, stemM }: PlacesScreen, key: string): PlaceDraft =>
  newPlace(key, 'middle', depthInZone('middle', coreDepthM, stemM));

/** A place in another zone; its depth goes along where one was typed. */
export function moveToZone(
  place: PlaceDraft,
  zone: PointZone,
  { coreDepthM, stemM }: Pick<PlacesScreen, 'coreDepthM' | 'stemM'>,
): PlaceDraft {
  if (place.depth === '') return { ...place, zone };
  return { ...place, zone, depth: text(depthInZone(zone, coreDepthM, stemM)) || place.depth };
}

const MAX_DEPTH_M = 20;
const MAX_ALONG_M = 5000;
function problemIn(place: PlaceDraft): string | null {
  const [depth, along] = [readMetres(place.depth), readMetres(place.along)];
  if (depth !== null && !(depth >= 0 && depth <= MAX_DEPTH_M))
    return say('places.aDepthInMetersSuch', {
      unit: signOf('length'),
      example: shownQuantity('length', 0.6, 1),
    });
  return along !== null && !(along >= 0 && along <= MAX_ALONG_M)
    ? say('places.metersAlongTheWindrow')
    : null;
}

/** Whether a place that was read lies elsewhere now: its readings must not be taken for those of the old one. */
const isElsewhere = (place: PlaceDraft, was: PlannedPlace): boolean =>
  (was.zone !== null && was.zone !== place.zone) ||
  (was.depthM !== null && was.depthM !== readMetres(place.depth));

/** A place as it will be kept: the one it was, or a new one with an id that none ever had. */
function pointOf(place: PlaceDraft, screen: PlacesScreen, taken: readonly string[]): PlannedPoint {
  const { was, zone, side } = place;
  const [depthM, alongM] = [readMetres(place.depth), readMetres(place.along)];
  const isRead = was !== null && screen.withReadings.includes(was.id);
  const stays = was !== null && !(isRead && isElsewhere(place, was));
  const id = stays ? was.id : freshPlaceId(taken);
  const isSame = stays && was.zone === zone && (was.side ?? '') === side && was.alongM === alongM;
  return {
    id,
    label: isSame ? was.label : placeLabel(id, zone, side || undefined, alongM ?? undefined),
    zone,
    ...(side ? { side } : {}),
    ...(depthM === null ? {} : { depthM }),
    ...(alongM === null ? {} : { alongM }),
  };
}

export function readPlaces(places: readonly PlaceDraft[], screen: PlacesScreen): PlacesReading {
  const taken = [...screen.taken];
  const points = places.map((place) => {
    const point = pointOf(place, screen, taken);
    taken.push(point.id);
    return point;
  });
  const problems = places.map(problemIn);
  const { coreDepthM, stemM, minPoints, borders, settings } = screen;
  return {
    points,
    problems,
    doubts: planDoubts(points, {
      coreDepthM,
      stemM,
      minPoints,
      borders,
      borderM: settings.borderM,
    }),
    gone: screen.plan.filter(
      (p) => screen.withReadings.includes(p.id) && !points.some((x) => x.id === p.id),
    ),
    ready: places.length > 0 && problems.every((problem) => problem === null),
  };
}

/** Stretches of a row that are read each for itself; 1: it is no row. */
export const stretchesOf = ({ shape, lengthM, settings }: PlacesScreen): number =>
  shape === 'windrow' ? rowStretchesOf(lengthM, settings.stretchM) : 1;

/** The places proposed for its shape; one that is there already keeps its name and its past. */
export function proposePlaces(screen: PlacesScreen, newKey: () => string): PlaceDraft[] {
  const { shape, coreDepthM, lengthM, stemM, settings, plan } = screen;
  return proposePlan({ shape, coreDepthM, lengthM }, settings.stretchM, stemM).map((p) => {
    const isThere = (q: PlannedPlace): boolean =>
      q.zone === p.zone &&
      (q.depthM ?? null) === (p.depthM ?? null) &&
      (q.alongM ?? null) === (p.alongM ?? null) &&
      (q.side === p.side || (q.zone === 'core' && !q.alongM));
    const was = plan.find(isThere) ?? null;
    const side = was ? was.side : p.side;
    return {
      ...newPlace(newKey(), p.zone, p.depthM),
      was,
      side: (side ?? '') as Side | '',
      along: text(p.alongM),
    };
  });
}
