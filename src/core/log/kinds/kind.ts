import type { z } from 'zod';
import type { TempUnit } from '../../units/units';

/**
 * A batch's own log, or the site's; of the site's, what lies in stock (`store`) and what comes after the heat (`lots`) is looked at by
 * no verdict and by no advice about a batch.
 */
export type EntryScope = 'batch' | 'site' | 'store' | 'lots';

/** How a kind is put right: in its place, with what should have stood there; struck as a whole; or not at all. */
export type Correction = 'in-place' | 'strike' | 'none';

/** The type of event that carries a kind in a batch file. */
export type FileEventType =
  'turn' | 'water' | 'add' | 'merge' | 'moisture' | 'note' | 'move' | 'cover' | 'screen' | 'cure';

/**
 * What a kind does to the clocks of the rules: it starts them, turns the batch, may start them again (by what its data say),
 * is evidence that a verdict reads, or changes the rules themselves. With `none` no verdict can differ with and without it.
 */
type ClockEffect = 'starts' | 'turns' | 'may-restart' | 'evidence' | 'rules' | 'none';

/**
 * Whose snapshots it can change: its own batch's; of every batch that was read with the thermometer it names; of every batch
 * whose core is so cold that the air decides whether it sleeps; those that the entry it puts right can change; or none. What a
 * snapshot takes from the site when it is read (the air, the crew's limits, methods) is no change of it.
 */
type SnapshotEffect = 'own' | 'read-with' | 'asleep' | 'target' | 'none';

/** The drawing beside an entry in a log. */
export type EntryMark =
  | 'turn'
  | 'water'
  | 'add'
  | 'cure'
  | 'probe'
  | 'note'
  | 'walk'
  | 'move'
  | 'flag'
  | 'check'
  | 'screen'
  | 'squeeze';

/** What the text of an entry needs beside its data. */
export type LogContext = {
  readonly unit: TempUnit;
  /** The readings that the entry brought, struck ones marked. */
  readonly readings: readonly {
    readonly value: number;
    readonly unit: TempUnit;
    readonly flag?: string | undefined;
  }[];
};
export type RecordContext = { /** A material's name in words. */ materialName(id: string): string };
export type LogText = { readonly title: string; readonly detail: string };

/** Everything that the core knows of one kind of entry. */
export type EntryKindDescription<
  S extends z.ZodType = z.ZodType,
  C extends Correction = Correction,
  F extends FileEventType | null = FileEventType | null,
  P extends EntryScope = EntryScope,
> = {
  /** The shape of its data. */
  readonly schema: S;
  readonly scope: P;
  /** A kind of a batch that the store is folded from too: it takes out of it, or says whose heap it went into. */
  readonly drawsOnStore?: boolean;
  /** A kind of a batch that moves matter, or measures how much of it there is. */
  readonly movesMatter?: boolean;
  /** People's time stands in it, which the totals of a season count. */ readonly bearsWork?: boolean;
  readonly correction: C;
  /** Speaks of the matter, which a part that is carried off takes along; false: of the heap as it stands. */
  readonly inherited: boolean;
  /** Null: a batch file says it elsewhere, or not at all. */
  readonly fileEvent: F;
  readonly clocks: ClockEffect;
  readonly snapshots: SnapshotEffect;
  /** The moment before which nothing of its batch can differ with and without it, ms; absent: the whole batch may. */
  changesFrom?(data: z.output<S>, at: number): number;
  readonly mark: EntryMark;
  /** How it is told in a log. */
  tell(data: z.output<S>, context: LogContext): LogText;
  /** How the printed record tells it among the works; null: it stands elsewhere there. */
  record(data: z.output<S>, context: RecordContext): string | null;
};

/** Checks a description as it is written down, and keeps its narrow types. */
export const describeKind = <
  S extends z.ZodType,
  C extends Correction,
  F extends FileEventType | null,
  P extends EntryScope,
>(
  description: EntryKindDescription<S, C, F, P>,
): EntryKindDescription<S, C, F, P> => description;
