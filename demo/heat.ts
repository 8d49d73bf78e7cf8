/** A small heat model for made-up heaps: enough to look like a heap, not a forecast. Temperatures in °C, times in hours since building. */

export type HeapModel = {
  /** Core temperature that the fresh heap strives for in still air of 10 °C. */
  readonly peakC: number;
  /** Hours until half of the first heat is there. */
  readonly wakesAfter: number;
  /** Days in which the drive falls to about a third. */
  readonly lastsDays: number;
  /** Hours since building of each full turning: part of the heat goes, the drive comes back a little. */
  readonly turns: readonly number[];
  /** Hours since building from which it lacks water, if it does. */
  readonly dryFrom?: number;
  /** Hours in which it dries to the worst, 60 unless said. */
  readonly driesOver?: number;
  /** Hours since building from which its food runs out: it falls to the air within weeks. */
  readonly spentFrom?: number;
  /** How much colder the coldest place is than the core once the heap is hot, K. */
  readonly spreadK?: number;
};

/** Small deterministic random numbers in [0, 1) (mulberry32), so that every demo is laid up alike. */
export function randomOf(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Air over the site: a daily wave on a slow one. */
export const airC = (hour: number): number =>
  10 + 4.2 * Math.sin(((hour - 9) / 24) * 2 * Math.PI) + 2 * Math.sin(hour / 77);

const STEP_H = 0.5;
/** Days in which a heap that has worked through its food loses two thirds of its drive. */
const SPENT_DAYS = 10;

/** A made-up heap that can be played forward, turned and watered. Hours since building; the heap strives for its drive and needs half a day to follow. */
export function playedHeap(model: Omit<HeapModel, 'turns'>, airAt: (h: number) => number) {
  let t = airAt(0) + 6;
  let fresh = 0;
  let hour = 0;
  let dryFrom = model.dryFrom;
  return {
    get hour() {
      return hour;
    },
    get coreC() {
      return t;
    },
    /** 1: moist; down to about half when it lacks water. */
    get water() {
      return dryFrom !== undefined && hour > dryFrom
        ? Math.max(0.55, 1 - (hour - dryFrom) / (model.driesOver ?? 60))
        : 1;
    },
    /** Opened to the air: part of the heat goes, the drive comes back a little. */
    turn(): void {
      t -= 0.14 * (t - airAt(hour));
      fresh = Math.min(0.12, fresh + 0.05);
    },
    /** Moist again, until it dries anew. */
    wet(driesAgainAfterH: number): void {
      dryFrom = hour + driesAgainAfterH;
    },
    step(): void {
      const waking = 1 / (1 + Math.exp(-(hour - model.wakesAfter) / 7));
      const spent =
        model.spentFrom === undefined || hour < model.spentFrom
          ? 1
          : Math.exp(-(hour - model.spentFrom) / 24 / SPENT_DAYS);
      const fuel = (Math.exp(-hour / 24 / model.lastsDays) + fresh * waking) * spent;
      const strivesFor =
        airAt(hour) + (model.peakC - 10) * waking * Math.min(1.04, fuel) * this.water;
      t += ((strivesFor - t) * STEP_H) / 11;
      hour += STEP_H;
    },
  };
}

/** Core temperature at half-hour steps from building to `hours`. */
export function coreCurve(
  model: HeapModel,
  hours: number,
  airAt: (h: number) => number,
): Float64Array {
  const curve = new Float64Array(Math.ceil(hours / STEP_H) + 2);
  const heap = playedHeap(model, airAt);
  let next = 0;
  for (let i = 0; i < curve.length; i += 1) {
    if (next < model.turns.length && heap.hour >= model.turns[next]!) {
      heap.turn();
      next += 1;
    }
    heap.step();
    curve[i] = heap.coreC;
  }
  return curve;
}

export const atHour = (curve: Float64Array, hour: number): number =>
  curve[Math.max(0, Math.min(curve.length - 1, Math.round(hour / STEP_H)))]!;
