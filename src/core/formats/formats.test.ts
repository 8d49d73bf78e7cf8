import { readingText } from '../words/reading';
import { sha256 } from '../../../tests/support/sha256';
import { parseBatchFile, readBatchFile } from './batch-file';
import { guessShape, readCsv, type CsvOptions } from './csv-readings';
import { answerVerify } from './verify-call';

const FILE = {
  format: 'zealous-heap/batch',
  version: 1,
  site: { name: 'Hopyard Corner', timeZone: 'Europe/London' },
  batch: { code: 'E', method: 'static', builtAt: '2026-05-01T00:00Z' },
  points: [{ id: 'a' }, { id: 'b' }, { id: 'c' }],
  readings: [
    '2026-05-01T08:00Z',
    '2026-05-02T08:00Z',
    '2026-05-03T08:00Z',
    '2026-05-04T08:00Z',
  ].flatMap((at, i) =>
    ['a', 'b', 'c'].map((point) => ({
      id: `${i}${point}`,
      at,
      point,
      value: 140,
      unit: 'F',
      round: `r${i}`,
    })),
  ),
};
type Deep = Record<string, unknown>;
const changed = (change: (file: Deep) => void): Deep => {
  const copy = structuredClone(FILE) as unknown as Deep;
  change(copy);
  return copy;
};
const problems = (file: unknown): string[] => {
  const p = parseBatchFile(file);
  return p.ok ? [] : p.problems.map((x) => `${x.path}: ${x.message}`);
};
const first = (list: unknown): Deep => (list as Deep[])[0]!;

describe('the batch file', () => {
  test('absent lists are empty, unknown fields are kept', () => {
    const parsed = parseBatchFile(
      changed((f) => {
        f.colour = 'brown';
        first(f.readings).cloud = 3;
      }),
    );
    expect(parsed).toMatchObject({
      ok: true,
      file: { colour: 'brown', policy: {}, probes: [], events: [] },
    });
    if (parsed.ok) expect(parsed.file.readings[0]).toMatchObject({ cloud: 3 });
  });
  test.each<[string, (f: Deep) => void, RegExp]>([
    [
      'a value that is no number',
      (f) => {
        first(f.readings).value = 'hot';
      },
      /^readings\[0\]\.value: must be a number, not "hot"$/,
    ],
    [
      'a missing point',
      (f) => {
        delete first(f.readings).point;
      },
      /^readings\[0\]\.point: is missing$/,
    ],
    [
      'a point that is not listed',
      (f) => {
        first(f.readings).point = 'z';
      },
      /^readings\[0\]\.point: no point with the id 'z'/,
    ],
    [
      'a probe that is not listed',
      (f) => {
        first(f.readings).probe = 'T';
      },
      /^readings\[0\]\.probe: no probe/,
    ],
    [
      'an id twice',
      (f) => {
        (f.readings as Deep[])[1]!.id = '0a';
      },
      /^readings\[1\]\.id: .*appears twice/,
    ],
    [
      'a time without a zone',
      (f) => {
        first(f.readings).at = '2026-05-01T08:00';
      },
      /^readings\[0\]\.at: must be a time/,
    ],
    [
      'an unknown event',
      (f) => {
        f.events = [{ id: 'e', at: '2026-05-01T08:00Z', type: 'dance' }];
      },
      /^events\[0\]\.type: must be one of turn, add/,
    ],
    [
      'an event without its field',
      (f) => {
        f.events = [{ id: 'e', at: '2026-05-01T08:00Z', type: 'turn' }];
      },
      /^events\[0\]\.full: is missing/,
    ],
    [
      'an unknown zone name',
      (f) => {
        (f.site as Deep).timeZone = 'Mars/Olympus';
      },
      /^site\.timeZone: must be an IANA/,
    ],
    [
      'an unknown method',
      (f) => {
        (f.batch as Deep).method = 'buried';
      },
      /^batch\.method: must be "turned", "static" or/,
    ],
    [
      'grace longer than the gap',
      (f) => {
        f.policy = { maxGapHours: 12, turnGraceHours: 13 };
      },
      /^policy\.turnGraceHours: must not be longer/,
    ],
    [
      'half a point',
      (f) => {
        f.policy = { minPoints: 1.5 };
      },
      /^policy\.minPoints/,
    ],
    [
      'no gap',
      (f) => {
        f.policy = { maxGapHours: 0 };
      },
      /^policy\.maxGapHours/,
    ],
    [
      'a rule of the library given as one’s own',
      (f) => {
        f.rules = [
          {
            id: 'us-503-pfrp-turned',
            requirement: { kind: 'hold', floorC: 20, hours: 1, consecutive: true, turnings: 0 },
          },
        ];
      },
      /^rules\[0\]\.id/,
    ],
    [
      'another format',
      (f) => {
        f.format = 'other';
      },
      /^format: /,
    ],
  ])('refuses %s, naming the field', (_, change, message) =>
    expect(problems(changed(change))[0]).toMatch(message),
  );
  test('the default grace follows a short gap', () =>
    expect(
      problems(
        changed((f) => {
          f.policy = { maxGapHours: 12 };
        }),
      ),
    ).toEqual([]));
  test.each(['', 'null', '[]', '3', '"x"', '{', '{"format":'])(
    'a text that is no batch file: %s',
    (text) => {
      const parsed = readBatchFile(text);
      expect(parsed.ok).toBe(false);
      if (!parsed.ok) expect(parsed.problems[0]!.message.length).toBeGreaterThan(5);
    },
  );
});

describe('zealous verify', () => {
  const verify = (file: unknown, rules: string[] = [], more = {}) =>
    answerVerify(JSON.stringify(file), { rules, json: true, ...more }, sha256);
  test('proven rules exit with 0, in the order asked and each once', () => {
    const a = verify(FILE, ['us-produce-static', 'us-503-pfrp-static', 'us-produce-static']);
    expect(a.status).toBe(0);
    const { verdicts } = JSON.parse(a.out) as { verdicts: { rule: string; provenAt: string }[] };
    expect(verdicts.map((v) => [v.rule, v.provenAt])).toEqual([
      ['us-produce-static', '2026-05-04T08:00:00.000Z'],
      ['us-503-pfrp-static', '2026-05-04T08:00:00.000Z'],
    ]);
  });
  test('not all proven exits with 1; earlier is not proven', () => {
    expect(verify(FILE, ['us-503-pfrp-static'], { asOf: '2026-05-04T07:00Z' }).status).toBe(1);
    expect(verify(FILE).status).toBe(1);
  });
  test('a call that cannot be answered exits with 2 and says why', () => {
    expect(verify(FILE, ['nope'])).toMatchObject({
      status: 2,
      out: '',
      errors: ["--rule: no rule 'nope' in the library or in the file"],
    });
    expect(verify(FILE, [], { asOf: 'tomorrow' }).errors[0]).toMatch(/^--as-of: /);
    expect(answerVerify('{', { rules: [], json: true }, sha256)).toMatchObject({ status: 2 });
  });
  test('a site’s own rule is answered by its id', () => {
    const a = verify(
      {
        ...FILE,
        rules: [
          {
            id: 'site-hot',
            requirement: { kind: 'hold', floorC: 59, hours: 24, consecutive: true, turnings: 0 },
          },
        ],
      },
      ['site-hot'],
    );
    expect(a.status).toBe(0);
  });
  test('without --json it speaks in sentences', () =>
    expect(
      answerVerify(JSON.stringify(FILE), { rules: ['us-503-pfrp-static'], json: false }, sha256)
        .out,
    ).toMatch(/Met Mon May 4 9:00\u00a0AM: 3 d 0 h at 55 °C\./));
});

describe('tables of temperatures', () => {
  const options: CsvOptions = {
    shape: 'long',
    unit: 'C',
    timeZone: 'Europe/London',
    dateOrder: 'dmy',
  };
  test('long form, local times in the zone that was asked for', () => {
    const { readings, points, bad } = readCsv(
      [
        ['Time', 'Point', 'Temp'],
        ['2026-05-01 07:30', 'core', '57,2'],
        ['01/05/2026 07:31', 'edge', '131 °F'],
        ['01/05/2026 7:32 PM', 'edge', '132 °F'],
        ['2026-05-02 12:05:00 a.m.', 'edge', '133 °F'],
        ['', '', ''],
      ],
      options,
    );
    expect(bad).toEqual([]);
    expect(points).toEqual([{ id: 'core' }, { id: 'edge' }]);
    expect(readings.map((r) => [r.id, r.at, r.value])).toEqual([
      ['L2', '2026-05-01T06:30:00.000Z', 57.2],
      ['L3', '2026-05-01T06:31:00.000Z', 131],
      ['L4', '2026-05-01T18:32:00.000Z', 132],
      ['L5', '2026-05-01T23:05:00.000Z', 133],
    ]);
  });
  test('wide form: one column for each point, empty cells left out', () => {
    const { readings } = readCsv(
      [
        ['timestamp', 'P1', 'P2'],
        ['2026-05-01T07:30Z', '57', ''],
        ['2026-05-01T08:30Z', '58', '59'],
      ],
      { ...options, shape: 'wide' },
    );
    expect(readings.map((r) => [r.point, r.value])).toEqual([
      ['P1', 57],
      ['P1', 58],
      ['P2', 59],
    ]);
  });
  test('every bad row is named with its line and reason', () => {
    const { bad } = readCsv(
      [
        ['time', 'point', 'value'],
        ['soon', 'a', '57'],
        ['2026-05-01 07:30', 'a', 'warm'],
        ['2026-03-29 01:30', 'a', '57'],
        ['2026-05-01 07:30', '', '57'],
        ['2026-02-30 07:30', 'a', '1'],
      ],
      options,
    );
    expect(bad.map((b) => b.line)).toEqual([2, 3, 4, 5, 6]);
    expect(bad.map((b) => b.reason).join('\n')).toMatch(
      /'soon' is not a time.*\n'warm' is not a temperature\n.*set forward\nthe point is empty\n/,
    );
  });
  test('the hour that the clock repeats is told by the order of the rows', () => {
    const { readings } = readCsv(
      [
        ['time', 'P1'],
        ['2026-10-25 01:30', '57'],
        ['2026-10-25 01:30', '58'],
      ],
      { ...options, shape: 'wide' },
    );
    expect(readings.map((r) => r.at)).toEqual([
      '2026-10-25T00:30:00.000Z',
      '2026-10-25T01:30:00.000Z',
    ]);
  });
  test('how unsure a value is comes back as it went out', () => {
    const { readings, bad } = readCsv(
      [
        ['time', 'point', 'value', 'unit', 'high', 'marks'],
        ['2026-05-01T07:30Z', 'a', '55', 'C', '59', ''],
        ['2026-05-01T07:31Z', 'b', '57', 'C', '', 'rising'],
        ['2026-05-01T07:32Z', 'c', '58', 'C', '', ''],
      ],
      options,
    );
    expect(bad).toEqual([]);
    expect(readings.map((r) => readingText(r, 'C'))).toEqual([
      '55.0–59.0 °C',
      'at least 57.0 °C, still rising',
      '58.0 °C',
    ]);
  });
  test('a table without a time says so; the shape is guessed from the header', () => {
    expect(readCsv([['a', 'b']], options).bad[0]!.reason).toMatch(/no column is called time/);
    expect([guessShape(['time', 'point', 'value']), guessShape(['time', 'P1', 'P2'])]).toEqual([
      'long',
      'wide',
    ]);
  });
});
