import { say } from '@/messages/say';
import { readBatchState } from '@/db/repositories/states';
import type { BatchId, EntryId, LotId } from '@/core/log/ids';
import { isCorrectedInPlace, type Entry, type NewEntry } from '@/core/log/entry';
import { isoOf } from '@/core/quantity/instant';
import { type BatchState, type SiteState } from '@/core/log/fold';
import { assessUnderTerms } from '@/core/snapshot/assess-batch';
import { sizesOfHeap } from '@/core/heap/sizes';
import { END_WORDS } from '@/core/words/acts';
import { DOOR_PROBLEM } from '@/core/words/door-problem';
import type { Problem } from '@/core/words/problem';
import { TRANSFER_WORDS } from '@/core/words/transfer';
import type { Db } from '@/db/client';
import { logRepo } from '@/db/repositories/log';
import { snapshotRepo } from '@/db/repositories/snapshots';
import type { Site } from '@/db/repositories/site';
import { now } from '@/platform/clock';
import { idFrom } from '@/platform/ids';
import { parseEntryForm } from '../input';
import { lastOf } from '@/core/quantity/present';

/** A single act between heaps, as one entry at each of its ends: what a person logs at one end, the door writes at the other in the same step. */
export type LinkedEntries =
  | { readonly ok: true; readonly others: readonly NewEntry[] }
  | { readonly ok: false; readonly problems: readonly Problem[] };
const refused = (path: string, message: string): LinkedEntries => ({
  ok: false,
  problems: [{ path, message }],
});
const noHeapText = () => say('entry.theOtherBatchNotOn');

/** A heap at its end gives and takes nothing any more. */
const atEnd = (path: string, s: BatchState): LinkedEntries | null => {
  const end = s.own.find((e) => e.kind === 'ended');
  return end
    ? refused(
        path,
        say('entry.isFinishedChooseActiveBatch', {
          s: nameOf(s),
          endwords: END_WORDS[end.data.reason],
        }),
      )
    : null;
};
const nameOf = (s: BatchState): string => s.opened.name ?? s.opened.code;

/** Whether all of one heap met each rule that another is kept under, by a moment. */
function metRulesOf(
  part: BatchState,
  whole: BatchState,
  site: Site,
  siteState: SiteState,
  at: number,
): { germs: boolean; seeds: boolean } {
  const assessed = assessUnderTerms(part, lastOf(whole.terms), site, siteState, at)?.rules ?? [];
  const met = (clock: 'germs' | 'seeds'): boolean =>
    assessed.length > 0 &&
    assessed
      .filter((r) => r.rule.clock === clock)
      .every((r) => r.assessment.verdict.status === 'proven');
  return { germs: met('germs'), seeds: met('seeds') };
}

/** What the act writes at its other ends. Entries that are no act between heaps have none. */
export async function createLinkedEntries(
  db: Db,
  entry: NewEntry,
  site: Site,
): Promise<LinkedEntries> {
  const { id, at, by, batch } = entry;
  const heap = (of: BatchId): Promise<BatchState | null> => readBatchState(db, of);
  const end = (role: string, to: string | null, kind: NewEntry['kind'], data: object): NewEntry =>
    ({
      id: idFrom(id, role),
      batch: to,
      at,
      by,
      kind,
      data: { ...data, act: id },
    }) as unknown as NewEntry;
  switch (entry.kind) {
    case 'merge': {
      const { from, withProven, seeds } = entry.data;
      if (from === undefined) return { ok: true, others: [] };
      if (from === batch) return refused('data.from', DOOR_PROBLEM.sameHeap);
      const [part, whole] = [await heap(from), await heap(batch!)];
      if (!part || !whole) return refused('data.from', noHeapText());
      const gone = atEnd('data.from', part) ?? atEnd('batch', whole);
      if (gone) return gone;
      const met = metRulesOf(part, whole, site, await snapshotRepo(db).siteState(site), at);
      // The weakest part rules: nobody may call proven what the log does not.
      if (withProven && !met.germs)
        return refused(
          'data.withProven',
          say('entry.hasNotMetRulesBy', { part: nameOf(part), whole: nameOf(whole) }),
        );
      if (seeds === false && !met.seeds)
        return refused(
          'data.seeds',
          say('entry.theWeedSeedRulesWere', { part: nameOf(part), whole: nameOf(whole) }),
        );
      return { ok: true, others: [end('ended', from, 'ended', { reason: 'merged', into: batch })] };
    }
    case 'split': {
      const { to, volumeM3, code, name, bay } = entry.data;
      const parent = await heap(batch!);
      if (!parent) return refused('data.to', noHeapText());
      const gone = atEnd('batch', parent);
      if (gone) return gone;
      if ((await logRepo(db).ofBatch(to)).length > 0)
        return refused('data.to', DOOR_PROBLEM.idTaken(say('entry.anotherBatch')));
      const m3 = sizesOfHeap(parent).at(-1)?.m3;
      if (m3 !== undefined && volumeM3 >= m3)
        return refused('data.volumeM3', DOOR_PROBLEM.splitTooMuch(m3));
      const terms = lastOf(parent.terms);
      const { brought, method, shape, coreDepthM, inputs } = parent.opened;
      const child = {
        code,
        ...(name === undefined ? {} : { name }),
        ...(bay === undefined ? {} : { bay }),
        method,
        volumeM3,
        ...(shape === undefined ? {} : { shape }),
        ...(coreDepthM === undefined ? {} : { coreDepthM }),
        ...(inputs === undefined ? {} : { inputs }),
        ...(brought === undefined ? {} : { brought }),
        points: parent.plan,
        policy: terms.policy,
        rules: terms.rules,
        ownRules: terms.ownRules,
        ...(terms.siteVersion === null ? {} : { siteVersion: terms.siteVersion }),
        ...(parent.template ? { template: parent.template } : {}),
        splitFrom: { batch, at, ...(m3 === undefined ? {} : { share: volumeM3 / m3 }) },
        act: id,
      };
      return {
        ok: true,
        others: [{ id: to, batch: to, at, by, kind: 'opened', data: child } as unknown as NewEntry],
      };
    }
    case 'transfer': {
      const { what, to, raw, seeds, litres } = entry.data;
      if (to === undefined) return { ok: true, others: [] };
      if (to === batch) return refused('data.to', DOOR_PROBLEM.sameHeap);
      const [source, target] = [await heap(batch!), await heap(to)];
      if (!source || !target) return refused('data.to', noHeapText());
      const gone = atEnd('data.to', target);
      if (gone) return gone;
      return {
        ok: true,
        others: [
          end('addition', to, 'addition', {
            raw,
            seeds,
            what: say('entry.from', { name: TRANSFER_WORDS[what].name, source: nameOf(source) }),
            from: batch,
            stuff: what,
            ...(litres === undefined ? {} : { litres }),
          }),
        ],
      };
    }
    case 'stack': {
      if (entry.data.with === batch) return refused('data.with', DOOR_PROBLEM.sameHeap);
      const other = await heap(entry.data.with);
      if (!other) return refused('data.with', noHeapText());
      const gone = atEnd('data.with', other);
      if (gone) return gone;
      const below = entry.data.layer === 'upper' ? batch : entry.data.with;
      const place = entry.data.layer === 'upper' ? other.position : (await heap(batch!))?.position;
      const mover = below === batch ? batch : entry.data.with;
      return {
        ok: true,
        others: [
          end('stack', entry.data.with, 'stack', {
            with: batch,
            layer: entry.data.layer === 'upper' ? 'lower' : 'upper',
          }),
          ...(place ? [end('position', mover, 'position', { position: place })] : []),
        ],
      };
    }
    case 'cure':
      return moveToCure(entry, batch === null ? null : await heap(batch), end);
    case 'lot-move':
      return { ok: true, others: beginLots([entry.data], end) };
    case 'screening': {
      const begun = entry.data.outputs.map(({ lot, begin: named }) => ({ to: lot, begin: named }));
      const emptied = entry.data.inputs.filter((i) => i.all).map((i) => i.lot);
      return {
        ok: true,
        others: [...beginLots(begun, end), ...(await endEmptied(db, emptied, end))],
      };
    }
    case 'lot-out':
      return {
        ok: true,
        others: await endEmptied(db, entry.data.all ? [entry.data.lot] : [], end),
      };
    case 'correction':
      return entry.data.instead !== undefined
        ? await replaced(db, entry, site)
        : entry.data.reading === undefined
          ? await strikeWhole(db, entry, end)
          : { ok: true, others: [] };
    default:
      return { ok: true, others: [] };
  }
}

type WriteEnd = (role: string, to: string | null, kind: NewEntry['kind'], data: object) => NewEntry;

/** Lots that begin with the act that fills them, each under the id that the act names. */
const beginLots = (
  targets: readonly { readonly to?: LotId | undefined; readonly begin?: object | undefined }[],
  end: WriteEnd,
): NewEntry[] =>
  targets.flatMap(({ to, begin }) =>
    to === undefined || begin === undefined
      ? []
      : [{ ...end(`lot:${to}`, null, 'lot', begin), id: to as string as EntryId }],
  );

/** A batch that goes to cure as a whole is at its end; a part of it leaves the rest where it is. */
function moveToCure(
  entry: Extract<NewEntry, { kind: 'cure' }>,
  batch: BatchState | null,
  end: WriteEnd,
): LinkedEntries {
  const { to, all } = entry.data;
  if (to === undefined) return { ok: true, others: [] };
  if (!batch) return refused('batch', noHeapText());
  const gone = atEnd('batch', batch);
  if (gone) return gone;
  const ended =
    all === false ? [] : [end('ended', entry.batch, 'ended', { reason: 'curing', lot: to })];
  return { ok: true, others: [...beginLots([entry.data], end), ...ended] };
}

/** Batches of which all went out are at their end; lots stay, to be filled again. */
async function endEmptied(db: Db, matter: readonly string[], end: WriteEnd): Promise<NewEntry[]> {
  const ended: NewEntry[] = [];
  for (const id of matter) {
    const batch = await readBatchState(db, id as BatchId);
    if (batch && !batch.own.some((e) => e.kind === 'ended'))
      ended.push(end(`ended:${id}`, id, 'ended', { reason: 'used' }));
  }
  return ended;
}

/** The entry that stands in the place of a corrected one: by whoever did it, with what was put right; the old one is struck and stays readable. */
async function replaced(
  db: Db,
  entry: Extract<NewEntry, { kind: 'correction' }>,
  site: Site,
): Promise<LinkedEntries> {
  const target = await logRepo(db).byId(entry.data.target);
  const { instead } = entry.data;
  if (!target || !instead) return refused('data.target', say('entry.theEntryCorrectNotIn'));
  const old = target.data as Record<string, unknown>;
  if (!isCorrectedInPlace(target.kind) || old.act !== undefined || old.from !== undefined)
    return refused('data.instead', say('entry.thisEntryCannotCorrectedIn'));
  const { fileId: _fileId, extra: _extra, device: _device, ...kept } = old;
  const parsed = parseEntryForm(
    {
      id: idFrom(entry.id, 'instead'),
      batch: target.batch,
      kind: target.kind,
      at: instead.at ?? isoOf(target.at),
      by: target.by,
      data: { ...kept, ...instead.data },
    },
    site.timeZone,
    now(),
  );
  return parsed.ok
    ? { ok: true, others: [parsed.entry] }
    : { ok: false, problems: parsed.problems };
}

/** An act is struck as a whole: at each of its ends. */
async function strikeWhole(
  db: Db,
  entry: Extract<NewEntry, { kind: 'correction' }>,
  end: WriteEnd,
): Promise<LinkedEntries> {
  const target = await logRepo(db).byId(entry.data.target);
  if (!target) return { ok: true, others: [] };
  const act = (target.data as { act?: EntryId }).act ?? target.id;
  const ends = (await logRepo(db).ofAct(act)).filter((e) => e.id !== target.id);
  const others: NewEntry[] = [];
  for (const e of ends) {
    if (e.kind === 'opened') {
      const own = (await logRepo(db).ofBatch(e.batch!)).filter(
        (x: Entry) => x.batch === e.batch && x.id !== e.id,
      );
      if (own.length > 0)
        return refused(
          'data.target',
          say('entry.hasOwnEntriesSinceThen', { name: e.data.name ?? e.data.code }),
        );
      others.push(
        end(`strike:${e.id}`, e.batch, 'ended', { reason: 'discarded', words: entry.data.reason }),
      );
    } else
      others.push(
        end(`strike:${e.id}`, e.batch, 'correction', { target: e.id, reason: entry.data.reason }),
      );
  }
  return { ok: true, others };
}
