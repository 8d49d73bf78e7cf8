import {
  add,
  at,
  codes,
  DAY0,
  evidence,
  flat,
  H,
  holdRule,
  round,
  ruleOf,
  steady,
  turn,
  verdictOf,
} from '../../../tests/support/evidence';
import { calibrationsOf } from './calibration';
import type { Reading } from './types';

/** Examples worked by hand from the contract, section by section. */

describe('calibration', () => {
  const probe = (...checks: { at: number; referenceC: number; readC: number }[]) => ({
    probes: [{ id: 'T', checks }],
  });
  const by = (readings: Reading[]): Reading[] => readings.map((r) => ({ ...r, probe: 'T' }));

  test('one check shifts by its offset, only from its time on', () => {
    const e = evidence(
      by([...flat(10, 54.5), ...flat(20, 54.5)]),
      [],
      {},
      probe({ at: at(15), referenceC: 0, readC: -0.5 }),
    );
    expect(verdictOf(e).run).toEqual({ from: at(20), to: at(20) }); // 54.5 is cold at 10 h, 55 at 20 h
  });
  test('two checks within two hours make a line; a + b·v worked by hand', () => {
    // (0 → 1), (100 → 99): b = (99 - 1)/(100 - 0) = 0.98, a = 1 — as reference over read
    const [c] = calibrationsOf(
      [
        { at: 0, referenceC: 1, readC: 0 },
        { at: 2 * H, referenceC: 99, readC: 100 },
      ],
      3 * H,
    );
    expect(c).toMatchObject({ at: 2 * H, poor: false });
    expect(c!.a).toBeCloseTo(1, 12);
    expect(c!.b).toBeCloseTo(0.98, 12);
  });
  test('more than two hours after the first opens a new calibration, dated by its own last check', () => {
    expect(
      calibrationsOf(
        [0, 1.5 * H, 2 * H + 1].map((t) => ({ at: t, referenceC: 0, readC: 1 })),
        9 * H,
      ).map((c) => c.at),
    ).toEqual([1.5 * H, 2 * H + 1]);
  });
  test('a slope out of 0.8 to 1.25 is not used, the mean offset is, and it is noted', () => {
    const e = evidence(
      by(flat(10, 60)),
      [],
      {},
      probe({ at: at(1), referenceC: 0, readC: 0 }, { at: at(2), referenceC: 10, readC: 8 - 1e-9 }),
    );
    const [c] = calibrationsOf(e.probes[0]!.checks, at(9));
    expect(c).toMatchObject({ poor: true, b: 1 });
    expect(c!.a).toBeCloseTo(1, 8);
    expect(codes(verdictOf(e))).toContain('CALIBRATION_POOR');
  });
  test('equal read values give the mean of the offsets', () => {
    expect(
      calibrationsOf(
        [
          { at: 0, referenceC: 0, readC: 2 },
          { at: 1, referenceC: 1, readC: 2 },
        ],
        9,
      )[0],
    ).toMatchObject({ a: -1.5, b: 1, poor: false });
  });
  test('checks after asOf are left out before grouping', () => {
    expect(
      calibrationsOf(
        [
          { at: 0, referenceC: 0, readC: 1 },
          { at: 10, referenceC: 0, readC: 3 },
        ],
        5,
      ),
    ).toMatchObject([{ at: 0, a: -1 }]);
  });
  test('a probe without a check in 180 days is noted, once, and not excluded', () => {
    const e = evidence(
      by([...flat(10, 60), ...flat(20, 60)]),
      [],
      {},
      probe({ at: DAY0 - 181 * 24 * H, referenceC: 0, readC: 0 }),
    );
    const v = verdictOf(e);
    expect(v.notes.filter((n) => n.code === 'UNCHECKED_PROBE')).toHaveLength(1);
    expect(v.creditedHours).toBe(10);
    expect(
      codes(verdictOf({ ...e, policy: { ...e.policy, calibrationDays: null } })),
    ).not.toContain('UNCHECKED_PROBE');
  });
});

describe('rounds', () => {
  const loose = (hours: number, point: string, value: number): Reading => ({
    id: `${hours}${point}`,
    at: at(hours),
    point,
    value,
    unit: 'C',
  });
  const runOf = (readings: Reading[], policy = {}) => verdictOf(evidence(readings, [], policy)).run;

  test('without ids, three points within the hour are one round at its last reading', () => {
    expect(runOf([loose(10, 'a', 60), loose(10.5, 'b', 60), loose(11, 'c', 60)])).toEqual({
      from: at(11),
      to: at(11),
    });
  });
  test('a reading more than roundMinutes after the first opens a new round', () => {
    expect(runOf([loose(10, 'a', 60), loose(10.5, 'b', 60), loose(11.01, 'c', 60)])).toBeNull(); // two thin rounds
  });
  test('a point that is already there opens a new round', () => {
    const two = [
      loose(10, 'a', 60),
      loose(10.1, 'b', 60),
      loose(10.2, 'c', 60),
      loose(10.3, 'a', 60),
      loose(10.4, 'b', 60),
      loose(10.5, 'c', 60),
    ];
    expect(runOf(two)).toEqual({ from: at(10.2), to: at(10.5) });
  });
  test('in a named round a point read twice counts with its colder value', () => {
    const twice = [...flat(10, 60), { ...flat(10, 50)[0]!, id: 'again' }];
    expect(verdictOf(evidence(twice)).status).toBe('broken');
  });
  test('a named round longer than six hours is cut, and noted', () => {
    const r = flat(10, 60);
    const v = verdictOf(evidence([r[0]!, r[1]!, { ...r[2]!, at: at(16.01) }]));
    expect(codes(v)).toEqual(expect.arrayContaining(['LONG_ROUND', 'THIN_ROUND']));
  });
  test('a thin hot round earns nothing; a thin cold one breaks', () => {
    const hot = [...flat(10, 60), ...round(20, 60, 60), ...flat(30, 60)];
    expect(verdictOf(evidence(hot)).creditedHours).toBe(20);
    expect(
      verdictOf(evidence([...flat(10, 60), ...round(20, 50), ...flat(30, 60)])).creditedHours,
    ).toBe(0);
  });
  test('a thin round stands by its coldest point, whatever combine says', () => {
    const v = verdictOf(evidence([...flat(10, 60), ...round(20, 70, 50)], [], { combine: 'mean' }));
    expect(codes(v)).toContain('COLD');
  });
  test('mean and median of an even number', () => {
    const points = ['a', 'b', 'c', 'd'].map((id) => ({ id }));
    const four = [40, 50, 60, 70].map((value, i): Reading => ({
      id: `${i}`,
      at: at(10),
      point: points[i]!.id,
      value,
      unit: 'C',
      round: 'r',
    }));
    for (const combine of ['mean', 'median'] as const)
      expect(verdictOf(evidence(four, [], { combine }, { points })).status).toBe('running'); // both 55
    expect(verdictOf(evidence(four, [], { combine: 'coldest' }, { points })).status).toBe('broken');
  });
  test('guard band is taken off before the floor, not off the peak', () => {
    expect(verdictOf(evidence(flat(10, 56), [], { guardBandC: 1 })).status).toBe('running');
    expect(verdictOf(evidence(flat(10, 55.9), [], { guardBandC: 1 })).status).toBe('broken');
  });
  test('within 1e-9 of the floor is at the floor', () => {
    expect(verdictOf(evidence(flat(10, 55 - 9e-10))).status).toBe('running');
    expect(verdictOf(evidence(flat(10, 55 - 2e-9))).status).toBe('broken');
  });
  test('a reading over the ceiling, even of one point, breaks and no turn excuses it', () => {
    const rule = holdRule({ ceilingC: 70 });
    const v = verdictOf(
      evidence([...flat(10, 60), ...round(20, 60, 60, 71), ...flat(30, 60)], [turn(19)]),
      rule,
    );
    expect(v).toMatchObject({ creditedHours: 0, status: 'running' });
    expect(v.notes.find((n) => n.code === 'OVER_CEILING')).toMatchObject({
      at: at(20),
      from: at(10),
    });
  });
  test('points outside the policy’s zones take no part; those without a zone do', () => {
    const points = [
      { id: 'a', zone: 'core' as const },
      { id: 'b' },
      { id: 'c', zone: 'edge' as const },
    ];
    const v = verdictOf(
      evidence(round(10, 60, 60, 30), [], { zones: ['core', 'middle'], minPoints: 2 }, { points }),
    );
    expect(v.status).toBe('running');
  });
});

describe('segments', () => {
  test('a raw addition starts the clock over; the earlier segment says what it had', () => {
    const v = verdictOf(
      evidence([...steady(10, 34, 12, 60), ...steady(46, 58, 12, 60)], [add(40, true)]),
    );
    expect(v).toMatchObject({ segmentFrom: at(40), creditedHours: 12 });
    expect(v.segments).toEqual([
      { from: DAY0, to: at(40), creditedHours: 24, turningsCounted: 0, provenAt: null },
    ]);
    expect(codes(v)).toContain('RESTART');
  });
  test('a round timed exactly at a restart belongs before it, at builtAt itself it counts', () => {
    expect(verdictOf(evidence([...flat(10, 60)], [add(10, true)])).status).toBe('waiting');
    expect(verdictOf(evidence(flat(0, 60))).status).toBe('running');
  });
  test('a recontamination at builtAt itself is a restart, one before it is ignored', () => {
    expect(verdictOf(evidence(flat(0, 60), [add(0, true)]))).toMatchObject({
      status: 'waiting',
      segments: [{ from: DAY0, to: DAY0 }],
    });
    expect(verdictOf(evidence(flat(0, 60), [add(-1, true)]))).toMatchObject({
      status: 'running',
      segments: [],
    });
  });
  test('a round that straddles a restart is dropped whole', () => {
    const r = flat(10, 60);
    const v = verdictOf(evidence([{ ...r[0]!, at: at(9) }, r[1]!, r[2]!], [add(9, true)]));
    expect(v.status).toBe('waiting');
    expect(codes(v)).toContain('STRADDLES_RESTART');
    const built = flat(0, 60);
    expect(verdictOf(evidence([{ ...built[0]!, at: at(-0.1) }, built[1]!, built[2]!])).status).toBe(
      'waiting',
    );
  });
  test('a proof that was reached and then lost is noted', () => {
    const v = verdictOf(evidence(steady(10, 106, 12, 60), [add(100, true)]));
    expect(v.segments[0]).toMatchObject({ provenAt: at(82), creditedHours: 72 });
    expect(v.notes.find((n) => n.code === 'PROOF_LOST')).toMatchObject({ at: at(100) });
  });
  test('two clocks: late hay re-loads only seeds, leachate only germs', () => {
    const seeds = holdRule({}, { clock: 'seeds' });
    const hay = evidence(steady(10, 34, 12, 60), [add(20, false, true)]);
    expect(verdictOf(hay, holdRule()).creditedHours).toBe(24);
    expect(verdictOf(hay, seeds).segmentFrom).toBe(at(20));
    const leachate = evidence(steady(10, 34, 12, 60), [
      { id: 'w', at: at(20), type: 'water', clean: false, seeds: false },
    ]);
    expect(verdictOf(leachate, holdRule()).segmentFrom).toBe(at(20));
    expect(verdictOf(leachate, seeds).segmentFrom).toBe(DAY0);
  });
  test('joined with a batch that has not met its rule restarts, with a proven one does not', () => {
    for (const withProven of [true, false]) {
      expect(
        verdictOf(
          evidence(steady(10, 34, 12, 60), [{ id: 'm', at: at(20), type: 'merge', withProven }]),
        ).segmentFrom,
      ).toBe(withProven ? DAY0 : at(20));
    }
  });
  test('asOf before builtAt is waiting; what is after asOf does not count, however it was recorded', () => {
    const e = evidence(steady(10, 90, 12, 60));
    expect(verdictOf(e, holdRule(), at(-1))).toMatchObject({
      status: 'waiting',
      earliestProofAt: at(71),
    });
    expect(verdictOf(e, holdRule(), at(30)).creditedHours).toBe(12);
  });
});

describe('runs, counting hours', () => {
  test('time between hot rounds up to the gap is credited whole, the last round ends it', () => {
    expect(verdictOf(evidence([...flat(10, 60), ...flat(46, 60)])).creditedHours).toBe(36);
    const v = verdictOf(evidence([...flat(10, 60), ...flat(46.01, 60)]));
    expect(v.creditedHours).toBe(0);
    expect(v.notes.find((n) => n.code === 'GAP')).toMatchObject({ at: at(46.01), from: at(10) });
  });
  test('between a hot and a cold round nothing is earned', () => {
    expect(
      verdictOf(
        evidence([...steady(10, 22, 12, 60), ...flat(30, 50)]),
        holdRule({ consecutive: false }),
      ).creditedHours,
    ).toBe(12);
  });
  test('a cold round after a turn pauses; the gap that the turn bridges earns nothing', () => {
    const e = evidence(
      [...steady(10, 34, 12, 60), ...flat(42, 48), ...flat(50, 60), ...flat(62, 60)],
      [turn(36)],
    );
    expect(verdictOf(e, holdRule(), at(45))).toMatchObject({
      status: 'recovering',
      creditedHours: 24,
    });
    expect(verdictOf(e)).toMatchObject({
      status: 'running',
      creditedHours: 36,
      turningsCounted: 1,
    });
  });
  test('recovery later than the grace ends the run', () => {
    const e = evidence([...steady(10, 34, 12, 60), ...flat(42, 48), ...flat(73, 60)], [turn(36)]);
    expect(verdictOf(e).notes.find((n) => n.code === 'SLOW_RECOVERY')).toMatchObject({
      at: at(73),
      from: at(34),
    });
    expect(
      verdictOf(evidence([...steady(10, 34, 12, 60), ...flat(42, 48), ...flat(72, 60)], [turn(36)]))
        .run?.from,
    ).toBe(at(10));
  });
  test('a chain of turns cannot keep a cold heap alive', () => {
    const e = evidence(
      [...flat(10, 60), ...flat(30, 40), ...flat(60, 40), ...flat(75, 60)],
      [turn(20), turn(50), turn(58)],
    );
    expect(verdictOf(e).run?.from).toBe(at(75)); // 50 h lies in the first window and opens none
  });
  test('a cold round is excused only when its first reading lies in the window too', () => {
    const cold = flat(21, 50);
    const e = evidence(
      [...flat(10, 60), { ...cold[0]!, at: at(19.9) }, cold[1]!, cold[2]!, ...flat(30, 60)],
      [turn(20)],
    );
    expect(verdictOf(e).run?.from).toBe(at(30));
  });
  test('a partial turn opens no window', () => {
    expect(
      codes(verdictOf(evidence([...flat(10, 60), ...flat(21, 50)], [turn(20, false)]))),
    ).toContain('COLD');
  });
  test('a run that outlives its gap without a round is stale; in a window it recovers', () => {
    const e = evidence(steady(10, 34, 12, 60));
    expect(verdictOf(e, holdRule(), at(70)).status).toBe('running');
    const stale = verdictOf(e, holdRule(), at(70.1));
    expect(stale).toMatchObject({ status: 'broken', creditedHours: 0, run: null });
    expect(stale.notes.find((n) => n.code === 'STALE')).toMatchObject({
      at: at(70.1),
      from: at(34),
    });
    expect(verdictOf(evidence(steady(10, 34, 12, 60), [turn(60)]), holdRule(), at(80)).status).toBe(
      'recovering',
    );
  });
  test('cumulative sums all runs and reports the latest while it lives', () => {
    const e = evidence([...steady(10, 34, 12, 60), ...flat(40, 40), ...steady(50, 98, 12, 60)]);
    expect(verdictOf(e, holdRule({ consecutive: false }))).toMatchObject({
      status: 'proven',
      provenAt: at(98),
      creditedHours: 72,
      run: null,
    });
    expect(verdictOf(e, holdRule({ consecutive: false }), at(80))).toMatchObject({
      status: 'running',
      creditedHours: 48,
      run: { from: at(50), to: at(74) },
    });
  });
});

describe('days', () => {
  const days = (e: ReturnType<typeof evidence>, asOf: number, hold = {}) =>
    verdictOf({ ...e, policy: { ...e.policy, counting: 'days' } }, holdRule(hold), asOf);

  test('the day the heap was built within is never hot; a day earns 24 h at the next midnight', () => {
    const e = evidence(steady(13, 13 + 24 * 4, 24, 60), [], {}, { builtAt: at(12) });
    expect(days(e, at(47.9))).toMatchObject({ creditedHours: 0, status: 'broken' }); // day 0 is blank, day 1 not over
    expect(days(e, at(48))).toMatchObject({ creditedHours: 24, run: { from: at(24), to: at(48) } });
    expect(days(e, at(96))).toMatchObject({ status: 'proven', provenAt: at(96) });
  });
  test('before the first judged day is over it waits', () => {
    expect(days(evidence(flat(5, 60)), at(20)).status).toBe('waiting');
  });
  test('blank days break unless the policy allows them', () => {
    const e = evidence([...flat(5, 60), ...flat(53, 60)]);
    expect(days(e, at(72))).toMatchObject({ creditedHours: 24, run: { from: at(48) } });
    expect(
      days(evidence([...flat(5, 60), ...flat(53, 60)], [], { maxBlankDays: 1 }), at(72)),
    ).toMatchObject({ creditedHours: 48, run: { from: at(0) } });
  });
  test('a cold day in grace pauses, without it breaks', () => {
    const readings = [...flat(5, 60), ...flat(30, 50), ...flat(53, 60)];
    expect(days(evidence(readings, [turn(20)]), at(72))).toMatchObject({
      creditedHours: 48,
      turningsCounted: 1,
    });
    expect(days(evidence(readings), at(72))).toMatchObject({ creditedHours: 24 });
  });
  test('a day without rounds in a grace window is paused, not blank', () => {
    expect(days(evidence([...flat(5, 60), ...flat(53, 60)], [turn(20)]), at(72))).toMatchObject({
      creditedHours: 48,
    });
  });
  test('paused days between two hot days must touch one and the same window', () => {
    const cold = [30, 54, 78].flatMap((h) => flat(h, 50));
    const e = evidence([...flat(5, 60), ...cold, ...flat(101, 60)], [turn(20), turn(57)], {
      maxGapHours: 36,
    });
    const v = days(e, at(120));
    expect(v.run?.from).toBe(at(96));
  });
  test('a thin round over the floor counts for nothing', () => {
    expect(days(evidence([...flat(5, 60), ...round(30, 60)]), at(48))).toMatchObject({
      status: 'broken',
    });
  });
  test('a turn counts only once a hot round follows it, counting days as well', () => {
    const e = evidence([...flat(5, 60), ...flat(29, 60)], [turn(10)]);
    expect(days(e, at(24)).turningsCounted).toBe(0);
    expect(days(e, at(48)).turningsCounted).toBe(1);
  });
});

describe('turnings', () => {
  const rule = holdRule({ turnings: 2, hours: 48 });
  test('partial, without heat and outside a run are told apart, the first that fits', () => {
    const e = evidence(steady(10, 58, 12, 60), [
      turn(5),
      turn(20, false),
      turn(30),
      turn(33),
      turn(60),
    ]);
    const v = verdictOf(e, rule, at(61));
    const of = (h: number) =>
      v.notes.find((n) => n.at === at(h) && n.code.startsWith('TURN'))?.code;
    expect([of(5), of(20), of(30), of(33), of(60)]).toEqual([
      'TURN_WITHOUT_HEAT',
      'TURN_PARTIAL',
      undefined,
      'TURN_WITHOUT_HEAT',
      'TURN_OUTSIDE_RUN',
    ]);
    expect(v.turningsCounted).toBe(1);
    expect(v.notes.find((n) => n.at === at(60))!.text).toMatch(
      /will when the batch gets hot again/,
    );
  });
  test('a round at the very time of a turn is before it', () => {
    const e = evidence([...flat(10, 60), ...flat(22, 60), ...flat(34, 60)], [turn(22)]);
    expect(verdictOf(e, rule).turningsCounted).toBe(1);
    expect(
      verdictOf(evidence([...flat(22, 60), ...flat(34, 60)], [turn(22)]), rule).turningsCounted,
    ).toBe(1);
  });
  test('met when time and turnings are both there', () => {
    const e = evidence(steady(10, 82, 12, 60), [turn(20), turn(60)]);
    expect(verdictOf(e, rule)).toMatchObject({
      status: 'proven',
      provenAt: at(70),
      creditedHours: 60,
      turningsCounted: 2,
      run: { from: at(10), to: at(70) },
    });
  });
  test('turnings are counted where none are required, and then not noted', () => {
    const v = verdictOf(evidence(steady(10, 34, 12, 60), [turn(12), turn(13)]), holdRule());
    expect(v.turningsCounted).toBe(1);
    expect(codes(v)).toEqual([]);
  });
});

describe('the verdict', () => {
  test('earliest proof: last hot round plus what is missing, never before asOf', () => {
    const e = evidence(steady(10, 34, 12, 60));
    expect(verdictOf(e, holdRule(), at(40)).earliestProofAt).toBe(at(34 + 48));
    expect(
      verdictOf(evidence(steady(10, 94, 12, 60)), holdRule({ turnings: 1 }), at(100))
        .earliestProofAt,
    ).toBe(at(100));
    expect(verdictOf(evidence(flat(5, 40)), holdRule(), at(6)).earliestProofAt).toBe(at(78));
  });
  test('excluded readings take no part and are noted; a rejected one that matters is said to', () => {
    const bad: Reading = { ...flat(20, 40)[0]!, id: 'bad', flag: 'rejected' };
    const old: Reading = { ...flat(20, 40)[1]!, id: 'old', flag: 'superseded' };
    const v = verdictOf(evidence([...steady(10, 34, 12, 60), bad, old]));
    expect(v.creditedHours).toBe(24);
    expect(
      codes(v)
        .filter((c) => c.startsWith('EXCLUDED'))
        .sort(),
    ).toEqual(['EXCLUDED_MATTERS', 'EXCLUDED_READING', 'EXCLUDED_READING']);
    const harmless: Reading = { ...flat(22, 61)[0]!, id: 'harmless', flag: 'rejected' };
    expect(codes(verdictOf(evidence([...steady(10, 34, 12, 60), harmless])))).toEqual([
      'EXCLUDED_READING',
    ]);
  });
  test('entered more than a day later is noted', () => {
    const late = flat(10, 60).map((r) => ({ ...r, recordedAt: at(34.01) }));
    expect(codes(verdictOf(evidence(late)))).toEqual(['LATE_ENTRY']);
    expect(
      codes(verdictOf(evidence(flat(10, 60).map((r) => ({ ...r, recordedAt: at(34) }))))),
    ).toEqual([]);
  });
  test('a cold round after the proof is noted, and takes nothing from it', () => {
    const v = verdictOf(evidence([...steady(10, 94, 12, 60), ...flat(100, 30)]));
    expect(v).toMatchObject({ status: 'proven', provenAt: at(82), creditedHours: 72 });
    expect(v.notes).toMatchObject([
      {
        code: 'COLD',
        text: 'The check of Tue May 5 4:00\u00a0AM came to 30 °C, below 55 °C, with no turning to explain it.',
      },
    ]);
  });
  test('another method, and seeds without a word of moisture, are noted', () => {
    const v = verdictOf(
      evidence(flat(10, 60)),
      holdRule({}, { methods: ['static'], clock: 'seeds' }),
    );
    expect(codes(v)).toEqual(['METHOD_MISMATCH', 'MOISTURE_UNKNOWN']);
  });
  test('texts speak in local time and the site’s unit', () => {
    const v = verdictOf(
      evidence(
        [...flat(10, 60), ...flat(20, 50)],
        [],
        {},
        { unit: 'F', timeZone: 'America/New_York' },
      ),
    );
    expect(v.notes[0]!.text).toBe(
      'The check of Fri May 1 4:00\u00a0PM came to 122 °F, below 131 °F, with no turning to explain it.',
    );
  });
});

describe('staged', () => {
  const rule = ruleOf({ kind: 'staged', floorC: 55, holdHours: 72, stages: 3 });
  test('three days before each of three turnings, met at the last of them; the stages need not follow one another', () => {
    const e = evidence(steady(0, 300, 12, 60), [
      turn(72),
      turn(100),
      turn(172),
      turn(250),
      turn(260),
    ]);
    const v = verdictOf(e, rule);
    // 0 to 72 completes; 72 to 100 is too short; 108 to 168 is 60 h, too short; 180 to 240 is 60 h: one stage so far
    expect(v).toMatchObject({
      status: 'running',
      turningsCounted: 1,
      turningsRequired: 3,
      requiredHours: 72,
    });
    expect(v.creditedHours).toBe(36); // 264 to 300, since the last full turning
    expect(v.run).toEqual({ from: at(264), to: at(300) });
    expect(v.earliestProofAt).toBe(at(300 + 36 + 72));
    expect(codes(v).filter((c) => c === 'TURN_WITHOUT_HOLD')).toHaveLength(4);
    const proven = verdictOf(
      evidence(steady(0, 300, 12, 60), [turn(72), turn(160), turn(244)]),
      rule,
    );
    expect(proven).toMatchObject({
      status: 'proven',
      provenAt: at(244),
      turningsCounted: 3,
      creditedHours: 72,
      run: { from: at(168), to: at(240) },
    });
  });
  test('the greatest run since the last turning is told, whether or not it has ended', () => {
    const v = verdictOf(
      evidence([...steady(0, 48, 12, 60), ...flat(50, 40), ...steady(52, 64, 12, 60)]),
      rule,
    );
    expect(v).toMatchObject({
      creditedHours: 48,
      run: { from: at(52), to: at(64) },
      status: 'running',
    });
    expect(v.earliestProofAt).toBe(at(64 + 24 + 144));
  });
  test('right after a turning there is no run in its stage: 0, null, asOf', () => {
    const v = verdictOf(evidence(steady(0, 48, 12, 60), [turn(50)]), rule, at(51));
    expect(v).toMatchObject({
      status: 'running',
      creditedHours: 0,
      run: null,
      earliestProofAt: at(51 + 216),
    });
  });
  test('a partial turning completes nothing; it counts hours, whatever the policy says', () => {
    const v = verdictOf(
      evidence(steady(0, 72, 12, 60), [turn(72, false)], { counting: 'days' }),
      rule,
    );
    expect(v).toMatchObject({ creditedHours: 72, turningsCounted: 0 });
    expect(codes(v)).toContain('TURN_PARTIAL');
  });
});

describe('alternatives, a time within a time, a mean', () => {
  const three = { kind: 'hold', floorC: 55, hours: 72, consecutive: true, turnings: 0 } as const;
  const one = { ...three, floorC: 65, hours: 24 } as const;
  test('anyOf is met by the first that is met; before that it tells the one furthest along', () => {
    const e = evidence([...steady(0, 24, 12, 60), ...steady(36, 60, 12, 66), ...flat(72, 60)]);
    expect(verdictOf(e, ruleOf({ kind: 'anyOf', of: [three, one] }), at(48))).toMatchObject({
      creditedHours: 48,
      requiredHours: 72,
    }); // 2/3 beats 1/2
    expect(verdictOf(e, ruleOf({ kind: 'anyOf', of: [three, one] }))).toMatchObject({
      status: 'proven',
      provenAt: at(60),
      requiredHours: 24,
    });
    expect(verdictOf(e, ruleOf({ kind: 'allOf', of: [three, one] }))).toMatchObject({
      status: 'proven',
      provenAt: at(72),
      requiredHours: 72,
    });
    expect(verdictOf(e, ruleOf({ kind: 'allOf', of: [three, one] }), at(48))).toMatchObject({
      creditedHours: 12,
      requiredHours: 24,
    });
  });
  test('within: four hours at 55 inside five days at 40, both in one run of 40', () => {
    const rule = ruleOf({
      kind: 'within',
      outer: { ...three, floorC: 40, hours: 120 },
      inner: { ...three, hours: 4, consecutive: false },
    });
    const hotLate = evidence([...steady(0, 120, 12, 45), ...steady(124, 130, 2, 56)]);
    expect(verdictOf(hotLate, rule, at(120))).toMatchObject({
      status: 'running',
      creditedHours: 0,
      requiredHours: 4,
      run: { from: at(0), to: at(120) },
    });
    expect(verdictOf(hotLate, rule)).toMatchObject({
      status: 'proven',
      provenAt: at(128),
      creditedHours: 4,
      requiredHours: 4,
      run: { from: at(0), to: at(128) },
    });
    const brokenBetween = evidence([
      ...steady(0, 4, 2, 56),
      ...flat(8, 30),
      ...steady(12, 132, 12, 45),
    ]);
    expect(verdictOf(brokenBetween, rule)).toMatchObject({
      status: 'running',
      creditedHours: 0,
      requiredHours: 4,
    }); // the hot hours lie in another run
  });
  test('meanAbove: the mean is over the credited gaps and must exceed its figure; the stretch may begin late in the run', () => {
    const rule = ruleOf({ kind: 'meanAbove', floorC: 40, hours: 48, meanC: 45 });
    expect(verdictOf(evidence(steady(0, 96, 12, 45)), rule)).toMatchObject({
      status: 'running',
      creditedHours: 96,
      earliestProofAt: at(96),
    }); // equal is not above
    const warmer = evidence([...steady(0, 24, 12, 41), ...steady(36, 96, 12, 48)]);
    // 0 to 48 h: (41·24 + 44.5·12 + 48·12) / 48 = 43.6. At 60 h: from 0 44.5, from 12 h (41·12 + 44.5·12 + 48·24) / 48 = 45.4
    expect(verdictOf(warmer, rule)).toMatchObject({
      status: 'proven',
      provenAt: at(60),
      creditedHours: 48,
      run: { from: at(12), to: at(60) },
    });
  });
});
