import { ago, DAY, heat, NOW, situation, type Change } from '../../../tests/support/situation';
import { findSimilarBatches, hottestByDay, type ComparableBatch } from './similarity';
import { partnersFor, tooSmall } from './partners';

const life = (
  id: string,
  ageDays: number,
  c: (day: number) => number,
  more: Partial<ComparableBatch> = {},
): ComparableBatch => ({
  id,
  name: id,
  builtAt: NOW - ageDays * DAY,
  kept: 'turned',
  m3: 4,
  inputs: ['manure'],
  turns: [],
  provenAt: null,
  hottestByDay: Array.from({ length: Math.floor(ageDays) }, (_, d) => [d, c(d)] as const),
  ...more,
});

describe('the heap most like this one', () => {
  const own = life('own', 6, (d) => Math.min(64, 20 + d * 15));
  test('of those that are older: how near, and how it went on', () => {
    const twin = life('twin', 30, (d) => (d > 20 ? 40 : Math.min(65, 20 + d * 15)), {
      provenAt: NOW - 12 * DAY,
      turns: [NOW - 26 * DAY, NOW - 22 * DAY, NOW - 18 * DAY],
    });
    const cold = life('cold', 30, () => 25);
    const young = life('young', 6, (d) => Math.min(64, 20 + d * 15));
    const [first, ...rest] = findSimilarBatches(own, [cold, young, twin, own], NOW);
    expect(rest).toEqual([]);
    expect(first).toMatchObject({
      id: 'twin',
      days: 6,
      provenDay: 18,
      turnsAfter: 2,
      weekLaterC: 65,
    });
    expect(first!.apartK).toBeLessThan(1);
  });
  test('another method, another size and other things in it make it less alike', () => {
    const list = [
      life('same', 30, (d) => Math.min(60, 20 + d * 15)),
      life('big', 30, (d) => Math.min(64, 20 + d * 15), { m3: 30 }),
      life('static', 30, (d) => Math.min(64, 20 + d * 15), { kept: 'static' }),
    ];
    expect(findSimilarBatches(own, list, NOW).map((a) => a.id)).toEqual(['same', 'static', 'big']);
  });
  test('by day the hottest place counts; one that is still being built has no age', () => {
    const rounds = [heat(49, 60, 61), heat(47, 20, 30), heat(40, 20, 35), heat(3, 50, 55)];
    expect(hottestByDay(rounds, ago(48))).toEqual([
      [0, 35],
      [1, 55],
    ]);
    expect(findSimilarBatches({ ...own, builtAt: null }, [own], NOW)).toEqual([]);
  });
});

describe('with which heap a small one is joined', () => {
  const card = (id: string, change: Change) => ({ id, name: id, facts: situation(change) });
  const idle = {
    proof: { status: 'broken' as const, creditedHours: 0, lastHot: null },
    stage: { code: 'cooling' as const, since: ago(50), reason: null, by: null, held: null },
    rounds: [heat(5, 30, 35)],
  };
  const own = card('own', { ...idle, volumeM3: 0.6 });
  test('under a cubic meter, unproven and still at work', () => {
    expect(tooSmall(own.facts)).toBe(true);
    expect(tooSmall(card('x', { volumeM3: 1.2 }).facts)).toBe(false);
    expect(tooSmall(card('x', { volumeM3: 0.6, proof: { status: 'proven' } }).facts)).toBe(false);
  });
  test('never with one that has something to lose, nor with one that would be too big', () => {
    const others = [
      card('hot', { volumeM3: 2 }),
      card('cools, but is hot', { ...idle, volumeM3: 2, rounds: [heat(5, 66, 72)] }),
      card('drum', { ...idle, volumeM3: 2, kept: 'vessel' }),
      card('idle', { ...idle, volumeM3: 3 }),
      card('small', { ...idle, volumeM3: 0.8 }),
      card('huge', { ...idle, volumeM3: 30 }),
      card('gone', {
        ...idle,
        stage: { code: 'ended', since: ago(3), reason: null, by: null, held: null },
        volumeM3: 1,
      }),
      card('proven', { volumeM3: 1, proof: { status: 'proven' } }),
    ];
    expect(partnersFor(own, others).map((p) => p.id)).toEqual(['small', 'idle']);
    const cures = card('cures', {
      volumeM3: 1,
      proof: { status: 'proven' },
      stage: { code: 'curing', since: ago(50), reason: null, by: null, held: null },
    });
    // One that is proven and still cools is left alone, and a word alone makes nothing proven.
    expect(partnersFor(cures, others)).toEqual([]);
    const said = { since: ago(40), reason: null, by: 'Mo', held: null } as const;
    const aside = [
      card('put-by', {
        volumeM3: 2,
        proof: { status: 'proven' },
        stage: { code: 'curing', ...said },
      }),
      card('word-only', { volumeM3: 2, stage: { code: 'curing', ...said } }),
    ];
    expect(partnersFor(cures, [...others, ...aside])).toMatchObject([
      { id: 'put-by', why: 'both-proven' },
    ]);
  });
});
