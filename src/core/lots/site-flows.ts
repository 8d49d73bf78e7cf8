import type { Flow, FlowSite, Level, Proof } from '../flow/site-file';
import { isShape, volumeOf } from '../heap/size';
import type { DataOf, Entry, EntryKind } from '../log/entry';
import type { Part } from '../log/store-shapes';
import { asIngredients } from '../mix/contents';
import { amountOf } from '../mix/amount';
import type { StoreState } from '../mix/store';
import type { Instant } from '../quantity/instant';
import { liveEntries } from './fold';

/**
 * Lots and flows of a site, read off what its log holds already: nothing is typed for it (contract, section 1). Each act is read
 * at one of its ends alone.
 */

const LITRES_PER_M3 = 1000;
const litresOf = (m3: number | undefined): number | null =>
  m3 === undefined ? null : m3 * LITRES_PER_M3;

/** Writes flows down; ids are those of the entries, with what tells several of one entry apart. */
class FlowWriter {
  readonly flows: Flow[] = [];
  readonly levels: Level[] = [];

  constructor(readonly store: StoreState) {}

  flow(
    id: string,
    at: Instant,
    ends: { readonly from?: string; readonly to?: string },
    { litres = null, all = false, clean = false }: Partial<Pick<Flow, 'litres' | 'all' | 'clean'>>,
  ): void {
    const [from, to] = [ends.from ?? null, ends.to ?? null];
    if (from !== to) this.flows.push({ id, at, from, to, litres, all, clean });
  }

  level(lot: string, at: Instant, litres: number): void {
    const same = this.levels.findIndex((l) => l.lot === lot && l.at === at);
    // Of two that were measured at one moment the later entry stands.
    if (same >= 0) this.levels.splice(same, 1);
    this.levels.push({ lot, at, litres });
  }

  /** Parts that went into a batch: out of loads and lots, or of what nobody took in as a load. */
  parts(id: string, at: Instant, batch: string, parts: readonly Part[]): void {
    const ingredients = asIngredients(this.store, parts, at);
    parts.forEach((part, i) => {
      const from = part.load ?? part.lot;
      const litres = ingredients[i]?.litres ?? null;
      this.flow(
        `${id}:${i}`,
        at,
        { ...(from === undefined ? {} : { from }), to: batch },
        { litres },
      );
    });
  }
}

type Reader<K extends EntryKind> = (writer: FlowWriter, entry: Extract<Entry, { kind: K }>) => void;

function readLoad(writer: FlowWriter, { id, at, data }: Extract<Entry, { kind: 'load' }>): void {
  const load = writer.store.loads.find((l) => (l.id as string) === id);
  const isFinished = load?.material.role === 'finished' && data.certificate !== undefined;
  writer.flow(`${id}:in`, at, { to: id }, { litres: load?.litres ?? null, clean: isFinished });
}

function readLoadChange(
  writer: FlowWriter,
  { id, at, data }: Extract<Entry, { kind: 'load-change' }>,
): void {
  const load = writer.store.loadOf.get(data.load);
  const left = data.left && amountOf(data.left, load?.stuff.density ?? null).litres;
  if (left !== undefined && left !== null) writer.level(data.load, at, left);
  if (data.gone !== undefined) writer.flow(id, at, { from: data.load }, { all: true });
}

function readAddition(
  writer: FlowWriter,
  { id, at, batch, data }: Extract<Entry, { kind: 'addition' }>,
): void {
  if (batch === null) return;
  if (data.parts) writer.parts(id, at, batch, data.parts);
  // What came out of another batch is told by the end that it left.
  else if (data.from === undefined)
    writer.flow(id, at, { to: batch }, { litres: data.litres ?? null, clean: !data.raw });
}

function readMerge(
  writer: FlowWriter,
  { id, at, batch, data }: Extract<Entry, { kind: 'merge' }>,
): void {
  if (batch === null) return;
  const litres = litresOf(data.volumeM3);
  if (data.from === undefined)
    writer.flow(id, at, { to: batch }, { litres, clean: data.withProven });
  else writer.flow(id, at, { from: data.from, to: batch }, { litres, all: true });
}

const RUN = ':run';
/** The lot that stands for a run of the screen: it is filled and emptied at one moment. */
export const screeningLotOf = (entry: string): string => `${entry}${RUN}`;
/** Whether a lot stands for a run of the screen. */
export const isScreeningLot = (lot: string): boolean => lot.endsWith(RUN);

function readScreening(
  writer: FlowWriter,
  { id, at, data }: Extract<Entry, { kind: 'screening' }>,
): void {
  const run = screeningLotOf(id);
  data.inputs.forEach(({ lot, litres, all }, i) =>
    writer.flow(`${id}:in${i}`, at, { from: lot, to: run }, { litres: litres ?? null, all }),
  );
  data.outputs.forEach(({ lot, litres }, i) =>
    writer.flow(`${id}:out${i}`, at, { from: run, to: lot }, { litres: litres ?? null }),
  );
  if (data.rejectsL) writer.flow(`${id}:rejects`, at, { from: run }, { litres: data.rejectsL });
  // What is left in the run is the loss: through the mesh, on the ground, by settling.
  writer.flow(`${id}:rest`, at, { from: run }, { all: true });
}

function readSize(
  writer: FlowWriter,
  { at, batch, data }: Extract<Entry, { kind: 'size' }>,
  shapes: ReadonlyMap<string, string | undefined>,
): void {
  if (batch === null) return;
  const shape = shapes.get(batch);
  const m3 =
    data.volumeM3 ?? (data.measures && volumeOf(isShape(shape) ? shape : 'dome', data.measures));
  if (m3 !== undefined) writer.level(batch, at, m3 * LITRES_PER_M3);
}

const GONE: ReadonlySet<DataOf<'ended'>['reason']> = new Set(['discarded', 'used-raw']);

const READERS: { readonly [K in EntryKind]?: Reader<K> } = {
  load: readLoad,
  'load-change': readLoadChange,
  charge: (w, { id, at, batch, data }) => {
    if (batch !== null) w.parts(id, at, batch, data.parts);
  },
  addition: readAddition,
  merge: readMerge,
  split: (w, { id, at, batch, data }) => {
    if (batch !== null)
      w.flow(id, at, { from: batch, to: data.to }, { litres: litresOf(data.volumeM3) });
  },
  transfer: (w, { id, at, batch, data }) => {
    const ends = {
      ...(batch === null ? {} : { from: batch }),
      ...(data.to ? { to: data.to } : {}),
    };
    w.flow(id, at, ends, { litres: data.litres ?? null });
  },
  water: (w, { id, at, batch, data }) => {
    // Clean water is no flow; what is raw in it goes along.
    if (batch !== null && !data.clean)
      w.flow(id, at, { to: batch }, { litres: data.litres ?? null });
  },
  ended: (w, { id, at, batch, data }) => {
    if (batch !== null && GONE.has(data.reason)) w.flow(id, at, { from: batch }, { all: true });
  },
  cure: (w, { id, at, batch, data }) => {
    if (batch !== null && data.to !== undefined)
      w.flow(
        id,
        at,
        { from: batch, to: data.to },
        { litres: data.litres ?? null, all: data.all ?? true },
      );
  },
  'lot-move': (w, { id, at, data }) =>
    w.flow(
      id,
      at,
      { from: data.from, to: data.to },
      { litres: data.litres ?? null, all: data.all },
    ),
  screening: readScreening,
  'lot-out': (w, { id, at, data }) =>
    w.flow(id, at, { from: data.lot }, { litres: data.litres ?? null, all: data.all }),
  'lot-size': (w, { at, data }) => w.level(data.lot, at, data.litres),
};

/** What was built of things that nobody logged: it came in from outside, as much as there was. */
function readUnlogged(writer: FlowWriter, live: readonly Entry[]): void {
  const logged = new Set(
    live.flatMap((e) => (e.kind === 'charge' && e.data.parts.length > 0 ? [e.batch] : [])),
  );
  const builtAt = new Map(live.flatMap((e) => (e.kind === 'built' ? [[e.batch, e.at]] : [])));
  for (const e of live) {
    if (e.kind !== 'opened' || e.batch === null || e.data.splitFrom) continue;
    const at = e.data.adopted ? e.at : builtAt.get(e.batch);
    if (at !== undefined && (e.data.adopted || !logged.has(e.batch)))
      writer.flow(`${e.id}:built`, at, { to: e.batch }, { litres: litresOf(e.data.volumeM3) });
    else if (at !== undefined && e.data.volumeM3 !== undefined)
      // Loose layers settle into each other: the finished batch is what it was measured as.
      writer.level(e.batch, at, e.data.volumeM3 * LITRES_PER_M3);
  }
}

/**
 * The lots of a site with the flows between them.
 * @param entries of the kinds that lots are read from, with their corrections
 * @param proofs when batches met rules on pathogens
 */
export function flowSiteOf(
  entries: readonly Entry[],
  store: StoreState,
  proofs: readonly Proof[],
): FlowSite {
  const live = liveEntries(entries);
  const writer = new FlowWriter(store);
  const shapes = new Map(
    live.flatMap((e) =>
      e.kind === 'opened' && e.batch ? [[e.batch as string, e.data.shape]] : [],
    ),
  );
  readUnlogged(writer, live);
  for (const e of live) {
    // Each reader takes entries of its own kind.
    (READERS[e.kind] as Reader<EntryKind> | undefined)?.(writer, e);
    if (e.kind === 'size') readSize(writer, e, shapes);
  }
  const lots = live.flatMap((e): FlowSite['lots'][number][] => {
    if (e.kind === 'load') return [{ id: e.id, kind: 'load' }];
    if (e.kind === 'opened' && e.batch !== null) return [{ id: e.batch, kind: 'batch' }];
    if (e.kind === 'lot') return [{ id: e.id, kind: e.data.kind }];
    return e.kind === 'screening' ? [{ id: screeningLotOf(e.id), kind: 'product' }] : [];
  });
  const known = new Set(lots.map((l) => l.id));
  const isKnown = (end: string | null): boolean => end === null || known.has(end);
  return {
    lots,
    // An end that was struck or lies on another device leaves its flow with the other end alone.
    flows: writer.flows
      .map((f) => ({
        ...f,
        from: isKnown(f.from) ? f.from : null,
        to: isKnown(f.to) ? f.to : null,
      }))
      .filter((f) => f.from !== null || f.to !== null),
    levels: writer.levels.filter((l) => known.has(l.lot)),
    proofs: proofs.filter((p) => known.has(p.lot)),
  };
}
