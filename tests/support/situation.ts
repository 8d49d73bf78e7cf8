import type { HeapFacts, Situation } from '@/core/advice/situation';
import type { ProofState } from '@/core/advice/turn';
import { TEMPLATES } from '@/core/advice/templates';
import type { RoundHeat } from '@/core/advice/trend';

/** A Monday noon. */
export const NOW = Date.UTC(2026, 4, 18, 12);
export const HOUR = 3_600_000;
export const DAY = 24 * HOUR;
/** A moment so many hours before now. */
export const ago = (hours: number): number => NOW - hours * HOUR;
/** A round so many hours before now: its combined value and its hottest place, °C. */
export const heat = (hoursAgo: number, valueC: number, peakC = valueC + 5): RoundHeat => ({
  at: ago(hoursAgo),
  valueC,
  peakC,
});
export const template = (id: string) => TEMPLATES.find((t) => t.id === id)!;

const calmProof: ProofState = {
  status: 'running',
  form: 'other',
  creditedHours: 100,
  requiredHours: 360,
  turningsOwed: 0,
  floorC: 55,
  maxGapHours: 36,
  graceHours: 36,
  earliestProofAt: NOW + 260 * HOUR,
  lastHot: ago(5),
  graceUntil: null,
};

/** A heap of four cubic metres on its ninth day, hot, running, owing nothing. */
const calm: HeapFacts = {
  stage: { code: 'hot', since: ago(120), reason: null, by: null, held: null },
  kept: 'turned',
  template: template('by-heat'),
  limits: template('by-heat').limits,
  builtAt: ago(200),
  volumeM3: 4,
  builtM3: 4.6,
  proof: calmProof,
  neverHot: false,
  turns: [],
  rounds: [heat(53, 58, 63), heat(29, 58, 63), heat(5, 58, 63)],
  bayNeededBy: null,
  airC: 12,
  squeeze: null,
  smell: null,
  pests: null,
  seepage: null,
  cover: null,
  watered: [],
  burnt: null,
  rules: { asked: 1, met: [] },
  lastRead: { at: ago(5), coreC: 63, airC: 12 },
  inputs: null,
  dryStops: null,
  probe: null,
  changes: [],
  flowLPerMin: 15,
  bucketL: 10,
  leastHotM3: 1,
};
export type Change = Partial<Omit<HeapFacts, 'proof'>> & { proof?: Partial<ProofState> };
export const situation = ({ proof, ...change }: Change = {}): Situation => ({
  ...calm,
  ...change,
  proof: { ...calmProof, ...proof },
  now: NOW,
});
