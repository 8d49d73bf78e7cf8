import type { BatchSnapshot, RuleSnapshot } from '@/core/snapshot/batch-snapshot';
import { MS } from '@/core/quantity/instant';
import { batchId } from './ids';
import { NOW, situation, type Change } from './situation';

/** A rule by heat of fifteen days and five turnings, of which eight days and two turnings count. */
export const ruleSnapshot = (
  change: Partial<Record<keyof RuleSnapshot, unknown>> = {},
): RuleSnapshot =>
  ({
    ...{ rule: 'eu-55-15d', title: '15 days at 55 °C', totalHours: 360, keptFrom: null },
    ...{
      rimUnread: false,
      status: 'running',
      provenAt: null,
      notes: [],
      latestHotAt: NOW - 5 * MS.hour,
    },
    ...{ creditedHours: 192, requiredHours: 360, turningsCounted: 2, turningsRequired: 5 },
    ...{ earliestProofAt: null, floorC: 55, combine: 'coldest', consecutive: true },
    ...{ form: { kind: 'hold' }, reachedMeanC: null },
    ...change,
  }) as RuleSnapshot;

type Given = Partial<Omit<BatchSnapshot, 'situation' | 'id'>> & {
  readonly id?: string;
  readonly situation?: Change;
};

/** A batch as the yard keeps it: hot, on its ninth day, read five hours ago. */
export function batchSnapshot({
  id = 'wren',
  situation: change = {},
  ...rest
}: Given = {}): BatchSnapshot {
  const { now: _now, ...facts } = situation(change);
  const last = facts.rounds.at(-1);
  return {
    ...{ id: batchId(id), code: id, name: id, bay: null, position: null, method: facts.kept },
    ...{
      volumeM3: facts.volumeM3,
      openedAt: facts.builtAt ?? NOW - 9 * MS.day,
      builtAt: facts.builtAt,
    },
    state: 'running',
    rules: [ruleSnapshot()],
    ...{ strata: [], lostHours: 0, orders: [], kin: [], maxGapHours: 36, checkDoubts: [] },
    latest: last
      ? { at: last.at, valueC: last.valueC, peakC: last.peakC, points: 5, complete: true }
      : null,
    outcome: { hotAt: null, highestC: null, best: null },
    turnings: { made: facts.turns.length, each: [] },
    lastLogged: { at: NOW, by: 'Mo' },
    situation: facts,
    likeness: { m3: facts.volumeM3, inputs: null, hottestByDay: [], turns: facts.turns },
    field: {
      ...{ shape: null, coreDepthM: null, lengthM: null, minPoints: 3, places: [] },
      ...{ probe: null, walk: null },
    },
    own: { template: null, calm: 'running', probes: [] },
    recheckAt: null,
    ...rest,
  };
}
