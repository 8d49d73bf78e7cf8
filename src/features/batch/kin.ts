import { say } from '@/messages/say';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { Kinship } from '@/core/log/lineage';
import { figureWithUnit, dayText, volumeText } from '@/core/quantity/format';

/** One tie in a heap's lineage as people read it, and the heap at its other end. */
export type Tie = {
  readonly depth: number;
  readonly id: string;
  readonly name: string;
  readonly text: string;
  readonly gone: boolean;
  readonly at: number;
};
export type Ties = { readonly before: readonly Tie[]; readonly after: readonly Tie[] };

const WORD = {
  get split() {
    return say('batch.aPartWasSplitOff');
  },
  get merge() {
    return say('batch.joined');
  },
  get transfer() {
    return say('batch.somethingMovedOver');
  },
  get stack() {
    return say('batch.stackedOnIt');
  },
} as const;
const text = (k: Kinship, timeZone: string): string => {
  const amount =
    k.kind === 'transfer'
      ? k.litres === null
        ? ''
        : `, ${figureWithUnit('litres', k.litres)}`
      : k.kind === 'stack'
        ? ''
        : k.m3 === null
          ? ''
          : `, ${volumeText(k.m3)}`;
  const what = k.kind === 'transfer' ? k.what : WORD[k.kind];
  const at = dayText(timeZone, k.at);
  if (k.kind !== 'merge') return `${what}${amount}, ${at}`;
  return k.proven
    ? say('batch.ruleMet', { what, amount, at })
    : say('batch.ruleNotMet', { what, amount, at });
};

/** How deep the tree is followed: loops (overs of one into another and back) end somewhere. */
const DEEPEST = 6;

/** What went into a heap, and what came out of it, through every heap between; each heap once, a loop is not followed round. */
export function kinOf(id: string, board: readonly BatchSnapshot[], timeZone: string): Ties {
  const all = board.flatMap((d) => d.kin);
  const byId = new Map(board.map((d) => [d.id, d]));
  const follow = (
    from: string,
    end: 'from' | 'to',
    seen: ReadonlySet<string>,
    depth: number,
    until: number,
  ): Tie[] =>
    depth > DEEPEST
      ? []
      : all
          .filter(
            (k) =>
              k[end === 'from' ? 'to' : 'from'] === from &&
              (end === 'from' ? k.at <= until : k.at >= until),
          )
          .sort((a, b) => a.at - b.at)
          .flatMap((k) => {
            const other = byId.get(k[end]);
            if (!other || seen.has(other.id)) return [];
            return [
              {
                depth,
                id: other.id,
                name: other.name ?? other.code,
                text: text(k, timeZone),
                gone:
                  other.situation.stage.code === 'ended' ||
                  other.situation.stage.code === 'released',
                at: k.at,
              },
              ...follow(other.id, end, new Set([...seen, other.id]), depth + 1, k.at),
            ];
          });
  return {
    before: follow(id, 'from', new Set([id]), 0, Infinity),
    after: follow(id, 'to', new Set([id]), 0, -Infinity),
  };
}
