import { libraryText } from '@/messages/library-text';
import { localInput, localParts } from '@/core/quantity/calendar';
import { isShape } from '@/core/heap/size';
import { SHAPE_WORDS } from '@/core/words/shape';
import { say } from '@/messages/say';
import { openDoubts } from '@/core/status/open-questions';
import { statusOfBatch, type BatchStatus } from '@/core/status/batch-status';
import { surenessText } from '@/core/words/reading';
import { positionText } from '@/core/words/position';
import { chartView, type ChartView } from '@/core/snapshot/chart';
import { claimText } from '@/telling/status/claim';
import { stageText } from '@/telling/status/stage';
import { createBatchSnapshot, type BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { gradeOf, type OffSpan } from '@/core/evidence/grade';
import { initialCnOf } from '@/core/mix/initial-cn';
import type { Figure } from '@/core/mix/mix';
import { foldStore, type StoreState } from '@/core/mix/store';
import { LIBRARY_EDITION } from '@/core/rules/library';
import { heldText } from '@/core/rules/text';
import { findingText, GRADE_WORD } from '@/core/words/grade';
import { assessBatch, type BatchAssessment } from '@/core/snapshot/assess-batch';
import { recordLine } from '@/telling/status/rules';
import { saysOf } from '@/telling/status/says';
import { adoptedText, isCannotSay, saidOf, type Said } from '@/telling/status/said';
import { heatOf } from '@/core/evidence/rounds';
import type { SiteHead } from '@/core/formats/batch-file-of';
import { recordEntry, type Entry } from '@/core/log/entry';
import type { BatchState, LoggedReading, SiteState } from '@/core/log/fold';
import {
  figureWithUnit,
  dayText,
  durationText,
  listText,
  tempBeside,
  tempFigure,
  tempText,
  whenText,
} from '@/core/quantity/format';
import { MATERIAL_LIBRARY } from '@/core/mix/library';
import { isoOf, MS, instantOf, type Instant } from '@/core/quantity/instant';
import { toCelsius } from '@/core/units/units';
import { CAUTION } from '@/core/words/caution';
import type { Locale } from '@/core/words/note';
import { plainText } from '@/core/evidence/verdict-words';
import { firstOf, valueAt } from '@/core/quantity/present';

/** A heat-treatment record: everything that an inspector asks, as text. The page, the PDF and the checker print the same. */
type TableRow = readonly string[];
export type Table = {
  readonly head: TableRow;
  readonly rows: readonly TableRow[];
  readonly none: string;
  readonly more?: string;
};
export type RecordDoc = {
  readonly title: string;
  readonly site: string;
  readonly code: string;
  readonly made: string;
  readonly asOf: Instant;
  readonly identity: readonly (readonly [string, string])[];
  readonly verdicts: readonly (Omit<Said, 'sentence' | 'notes'> & {
    readonly sentence: string;
    readonly notes: readonly string[];
  })[];
  /** Each standard by its name, met or not, in a line. */
  readonly outcome: readonly {
    readonly rule: string;
    readonly met: boolean;
    readonly text: string;
  }[];
  /** How good the evidence is, and each part of it. */
  readonly quality: readonly string[];
  /** What the rule texts are. */
  readonly held: string;
  /** What is to be filled in by hand and signed. */
  readonly sign: TableRow;
  readonly chart: ChartView | null;
  readonly rounds: Table;
  readonly works: Table;
  /** What does not fit in the log that it was made from. */ readonly faults: readonly string[];
  /** What speaks against its evidence, open and settled. */ readonly questions: RecordQuestions;
  /** Where its matter went after the heat; null: nothing has left it, or only its file is at hand. */
  readonly after: Table | null;
  readonly corrections: Table;
  readonly checks: Table;
  readonly notCovered: readonly string[];
  readonly cautions: readonly string[];
  /** How anyone gets the same again. Null: the file is not at hand. */
  readonly again:
    | (Omit<Again, 'command'> & {
        /** Null: every verdict shown was kept from an earlier version. */ readonly command:
          string | null;
        readonly head: string | null;
        /** Whether the file holds all of the batch, who signed that, and where the log ended then. */
        readonly seal: readonly string[];
        /** Where the log ended when it was made, as `./zealous chain --since` takes it, and as a code; null: not known. */
        readonly end: LogEnd | null;
        /** Proofs kept from earlier rules and policies, each in a file of its own. */ readonly earlier: readonly (Again & {
          readonly version: number;
        })[];
      })
    | null;
};

/** What speaks against the evidence of a batch, in sentences: what nobody has settled yet, and what was settled by whom and why. */
export type RecordQuestions = {
  readonly open: readonly string[];
  readonly settled: readonly string[];
};

/** The end of a log in words, and drawn as a QR code of so many modules a side; what it is for is said beside. */
export type LogEnd = {
  readonly text: string;
  readonly use: string;
  readonly codeName: string;
  readonly side: number;
  readonly path: string;
};

/** A batch file, and the command that gives its verdicts again. */
type Again = { readonly digest: string; readonly fileName: string; readonly command: string };

const notSaidText = () => say('record.notLoggedWriteHere');
const METHOD_WORD = {
  get turned() {
    return say('record.turnedPile');
  },
  get static() {
    return say('record.staticPileAeratedNotTurned');
  },
  get vessel() {
    return say('record.inVesselMixedInside');
  },
} as const;
const INPUT_WORD: Record<string, string> = {
  get manure() {
    return say('record.manure');
  },
  get 'seeding-weeds'() {
    return say('record.seedingWeedsOrLateHay');
  },
  get 'food-waste'() {
    return say('record.foodWaste');
  },
  get biosolids() {
    return say('record.sewageSludge');
  },
  get 'diseased-plants'() {
    return say('record.diseasedPlants');
  },
  get garden() {
    return say('record.yardAndCropWaste');
  },
};

export const safeName = (code: string): string =>
  code.replace(/[^A-Za-z0-9_-]+/g, '-').slice(0, 40) || 'batch';

type Ask = {
  readonly state: BatchState;
  readonly site: SiteHead;
  readonly siteState: SiteState;
  readonly now: Instant;
  readonly unit: 'C' | 'F';
  readonly file?: AskFile;
  /** Where its matter went, as far as the site's log tells. */ readonly after?: Table | null;
  /** What does not fit in the log that it was made from; left out: nothing is known. */
  readonly faults?: readonly string[];
  /** What speaks against its evidence; left out: only its file is at hand. */ readonly questions?: RecordQuestions;
  /** The store, for what went in; left out: as far as the batch's own entries tell. */ readonly store?: StoreState;
};
/** What the record's batch file is known by; `earlier`: the digest of the file of each earlier version of the batch's terms. */
type AskFile = {
  readonly digest: string;
  readonly head: string | null;
  readonly seal: readonly string[];
  readonly end?: LogEnd;
  readonly earlier?: ReadonlyMap<number, string>;
};
type Page = Ask & {
  readonly when: (at: Instant) => string;
  readonly place: (point: string) => string;
};

function identityOf(
  { state, site, siteState, when, unit, now }: Page,
  cn: string,
): [string, string][] {
  const { opened } = state;
  const went = [
    ...new Set(
      state.own.flatMap((e) =>
        e.kind === 'charge' ? e.data.parts.map((p) => materialName(p.material)) : [],
      ),
    ),
  ];
  const rows: [string, string | undefined][] = [
    [say('record.batch'), `${opened.code}${opened.name ? `, ${opened.name}` : ''}`],
    [
      say('record.site'),
      opened.brought
        ? say('record.importedAt', { siteName: opened.brought.siteName, name: site.name })
        : site.name,
    ],
    [say('record.address'), siteState.fireCard?.address ?? notSaidText()],
    [say('record.place'), positionText(state.position)],
    [say('record.method'), METHOD_WORD[opened.method]],
    [
      say('record.volume'),
      opened.volumeM3 === undefined
        ? undefined
        : say('record.aboutM', { volumeM3: opened.volumeM3 }),
    ],
    [
      say('record.shape'),
      opened.shape &&
        `${isShape(opened.shape) ? SHAPE_WORDS[opened.shape] : opened.shape}${opened.coreDepthM ? say('record.coreMDeep', { coreDepthM: opened.coreDepthM }) : ''}`,
    ],
    [
      say('record.materials'),
      [
        ...went,
        ...(opened.inputs ?? []).map((i) => INPUT_WORD[i] ?? i),
        ...state.events.flatMap((e) => {
          const added =
            e.kind === 'addition' && !state.struck.has(e.id)
              ? [e.data.what, ...(e.data.parts ?? []).map((p) => materialName(p.material))]
                  .filter(Boolean)
                  .join(', ')
              : '';
          return added ? [say('record.added', { added, at: when(e.at) })] : [];
        }),
      ].join('; ') || say('record.notLogged'),
    ],
    [say('record.initialCN'), cn],
    [
      say('record.lastRawMaterialIn'),
      state.builtAt === null ? say('record.stillBeingBuiltNoClock') : when(state.builtAt),
    ],
    [
      say('record.probePoints'),
      state.plan
        .map((p) =>
          [p.label ?? p.id, p.depthM === undefined ? '' : figureWithUnit('length', p.depthM)]
            .filter(Boolean)
            .join(' '),
        )
        .join('; '),
    ],
    [
      say('record.takenOver'),
      adoptedText(opened.adopted, { timeZone: site.timeZone, unit, now }) ?? undefined,
    ],
    [
      say('record.times'),
      say('record.byTheClockOf', { timeZone: opened.brought?.timeZone ?? site.timeZone }),
    ],
  ];
  return rows.filter((row): row is [string, string] => Boolean(row[1]));
}

/** As many rounds are printed; of more the record says how many, and the file holds all. */
const MAX_ROUNDS = 1500;

/** Up to so many places stand in columns of their own. */
const MAX_COLUMNS = 7;

/** A reading as it was typed; behind it what the thermometer's checks make of it, where they change it. */
function cellOf(
  r: LoggedOrRead,
  corrected: number,
  floorC: number,
  { unit, place }: Page,
  named: boolean,
): string {
  const typed = r.unit === unit && !named ? `${r.value}` : `${r.value} °${r.unit}`;
  const same = Math.abs(toCelsius(r.value, r.unit) - corrected) < 1e-9;
  const right = tempBeside(corrected, floorC, unit, 1);
  return `${named ? `${place(r.point)} ` : ''}${typed}${same ? '' : named ? say('record.corrected', { right }) : `\u00a0/\u00a0${right.replace(/ .*/, '')}`}`;
}
type LoggedOrRead = Pick<LoggedReading, 'point' | 'value' | 'unit'>;

function roundsTable(page: Page, assessment: BatchAssessment): Table {
  const { state, unit, when, place } = page;
  const { prepared, rules: accounts } = assessment;
  const floor = accounts[0]?.assessment.progress.scan.floor ?? { floorC: 55 };
  const word = {
    hot: 'hot',
    cold: say('record.notHot'),
    over: say('record.tooHot'),
    thin: say('record.hotReadAtTooFew'),
  };
  const columns = state.points.length <= MAX_COLUMNS ? state.points.map((p) => p.id) : null;
  const out = new Map<string, LoggedReading[]>();
  for (const r of state.readings)
    if (r.flag !== undefined && r.round !== undefined)
      out.set(r.round, [...(out.get(r.round) ?? []), r]);
  const unsure = new Map(
    state.readings.flatMap((x) => {
      const words = surenessText(x, unit);
      return words === '' ? [] : [[x.id, `${place(x.point)} ${words}`] as const];
    }),
  );
  const [byEntry, entryOf] = [
    new Map(state.entries.map((e) => [e.id, e.by])),
    new Map(state.readings.map((r) => [r.id, r.entry])),
  ];
  const who = (id: string): string => {
    const entry = entryOf.get(id);
    return (entry && byEntry.get(entry)) ?? '';
  };
  const rows = prepared.rounds.slice(-MAX_ROUNDS).map((r): TableRow => {
    const late = r.readings.filter(
      (x) => x.recordedAt !== undefined && x.recordedAt - x.at > MS.day,
    );
    const cell = (x: LoggedOrRead & Parameters<typeof prepared.corrector.correct>[0]): string =>
      cellOf(x, prepared.corrector.correct(x), floor.floorC, page, columns === null);
    const values = columns
      ? columns.map(
          (id) =>
            r.readings
              .filter((x) => x.point === id)
              .map(cell)
              .join('; ') || '–',
        )
      : [r.readings.map(cell).join('; ')];
    const struck = (out.get(firstOf(r.readings).round ?? '') ?? []).map(
      (x) =>
        `${place(x.point)} ${x.value} °${x.unit} ${x.flag}: ${x.flagReason ?? say('record.noReasonGiven')}`,
    );
    const probes = [
      ...new Set(r.readings.flatMap((x) => (x.probe === undefined ? [] : [x.probe]))),
    ].join(', ');
    const lateText =
      late.length > 0
        ? say('record.enteredLater', {
            reduce: durationText(
              late.reduce((m, x) => Math.max(m, x.recordedAt! - x.at), 0) / MS.hour,
            ),
          })
        : '';
    const readers = [...new Set(r.readings.map((x) => who(x.id)).filter(Boolean))].join(', ');
    return [
      when(r.time),
      ...values,
      probes || say('record.notNamed'),
      readers || say('record.notGiven'),
      tempBeside(r.value, floor.floorC, unit, 1),
      [
        word[heatOf(r, floor.floorC, floor.ceilingC)],
        ...r.readings.flatMap((x) => unsure.get(x.id) ?? []),
        lateText,
        ...struck,
      ]
        .filter(Boolean)
        .join('; '),
    ];
  });
  const earlier =
    prepared.rounds.length > MAX_ROUNDS
      ? [
          say('record.earlierChecksInBatchFile', {
            rounds: prepared.rounds.length - MAX_ROUNDS,
          }),
        ]
      : [];
  const more = [
    ...(columns ? [say('record.valuesAsReadInUnless', { unit })] : []),
    ...earlier,
  ].join(' ');
  return {
    head: [
      say('record.check'),
      ...(columns ? columns.map((id) => `${place(id)}, °${unit}`) : [say('record.valuesAsRead')]),
      say('record.thermometer'),
      say('record.readBy'),
      say('record.countsAs'),
      say('record.comparedWith', {
        floorC: tempText(floor.floorC, unit, floor.floorC % 1 ? 1 : 0),
      }),
    ],
    rows,
    none: say('record.noTemperaturesWereTaken'),
    ...(more ? { more } : {}),
  };
}

/** The name of a material in words; one that the library does not have goes by its id. */
const materialName = (id: string): string =>
  libraryText(MATERIAL_LIBRARY.find((m) => m.id === id)?.name ?? id.replaceAll('-', ' '));
function worksTable({ state, when }: Page): Table {
  const rows = [...state.entries]
    .sort((a, b) => a.at - b.at || a.seq - b.seq)
    .flatMap((e): TableRow[] => {
      const words = recordEntry(e, { materialName });
      const strike = state.struck.get(e.id);
      if (words === null) return [];
      const late =
        e.recordedAt - e.at > MS.day && e.kind !== 'opened'
          ? say('record.entered', { recordedAt: when(e.recordedAt) })
          : '';
      return [
        [
          when(e.at),
          `${words}${strike?.kind === 'correction' ? say('record.voided', { reason: strike.data.reason }) : ''}${late}`,
          e.by,
        ],
      ];
    });
  return {
    head: [say('record.when'), say('record.turningsWaterAdditionsOtherWork'), say('record.who')],
    rows,
    none: say('record.onlyReadingsWereLogged'),
  };
}

function correctionsTable({ state, when, place }: Page): Table {
  const readings = new Map(state.readings.map((r) => [r.id, r]));
  const corrections = state.entries.filter(
    (e): e is Extract<Entry, { kind: 'correction' }> => e.kind === 'correction',
  );
  const logged = corrections.map((c): TableRow => {
    const old = c.data.reading === undefined ? undefined : readings.get(c.data.reading);
    const target = state.entries.find((e) => e.id === c.data.target);
    const was = old
      ? `${place(old.point)} ${old.value} °${old.unit}, ${when(instantOf(old.at))}`
      : target
        ? say('record.of', { kind: target.kind, at: when(target.at) })
        : say('record.anEntry');
    return [
      when(c.recordedAt),
      was,
      c.data.value === undefined
        ? say('record.voided2')
        : `${c.data.value} °${c.data.unit ?? old?.unit ?? 'C'}`,
      c.data.reason,
      c.by,
    ];
  });
  const ids = new Set(corrections.map((c) => c.data.reading));
  const brought = state.readings
    .filter((r) => r.flag !== undefined && !ids.has(r.id) && !state.struck.has(r.entry))
    .map((r): TableRow => [
      when(instantOf(r.at)),
      `${place(r.point)} ${r.value} °${r.unit}`,
      r.flag!,
      r.flagReason ?? say('record.noReasonGiven'),
      say('record.asTheFileSays'),
    ]);
  return {
    head: [
      say('record.when'),
      say('record.was'),
      say('record.now'),
      say('record.why'),
      say('record.who'),
    ],
    rows: [...logged, ...brought],
    none: say('record.nothingWasCorrected'),
  };
}

function checksTable({ state, siteState, unit, when }: Page): Table {
  const used = new Set(state.readings.flatMap((r) => (r.probe === undefined ? [] : [r.probe])));
  const broughtIds = new Set((state.opened.brought?.probes ?? []).map((p) => p.id));
  const own = [...used]
    .filter((id) => siteState.probes.has(id) || !broughtIds.has(id))
    .map((id) => ({ id, checks: siteState.probes.get(id) ?? [] }));
  const brought = (state.opened.brought?.probes ?? []).map((p) => ({
    id: p.id,
    checks: p.checks.map((c) => ({ ...c, at: instantOf(c.at) })),
  }));
  const kelvin = (k: number): string =>
    `${k > 0 ? '+' : ''}${Number((unit === 'F' ? k * 1.8 : k).toFixed(2)) + 0} °${unit}`;
  const rows = [...brought, ...own].flatMap(({ id, checks }) =>
    checks.length === 0
      ? [[id, say('record.neverChecked'), '', '', ''] as TableRow]
      : [...checks]
          .sort((a, b) => a.at - b.at)
          .map((c): TableRow => [
            id,
            when(c.at),
            `${tempFigure(c.referenceC, unit, 1)} °${unit}`,
            `${tempFigure(c.readC, unit, 1)} °${unit}`,
            kelvin(c.referenceC - c.readC),
          ]),
  );
  return {
    head: [
      say('record.thermometer'),
      say('record.checked'),
      say('record.reference'),
      say('record.itRead'),
      say('record.correction'),
    ],
    rows,
    none: say('record.noReadingNamesThermometerSo'),
  };
}

/** What nobody may read out of a record. */
function notCoveredOf({ state }: Page, assessment: BatchAssessment | null): string[] {
  const confirmed = (state.opened.confirmed ?? []).map(({ condition }) =>
    say('record.confirmedAtStart', { condition: libraryText(condition) }),
  );
  const conditions = [
    ...new Set(
      (assessment?.rules ?? []).flatMap(({ rule }) =>
        rule.conditions.map((c) =>
          say('record.theRuleAsksForNot', {
            c: libraryText(c),
            title: libraryText(rule.title),
          }),
        ),
      ),
    ),
  ];
  const unread = state.points
    .filter((p) => !state.readings.some((r) => r.point === p.id))
    .map((p) => p.label ?? p.id);
  return [
    say('record.placesBetweenPointsRecordCovers'),
    say('record.herbicideResidueMetalsSaltsPlastic'),
    say('record.sporesHeatTolerantOrganismsHard'),
    say('record.anythingTouchedBatchAfterLast'),
    ...(unread.length > 0
      ? [say('record.pointsWereNeverRead', { unread: unread.join(', ') })]
      : []),
    ...conditions,
    ...confirmed,
  ];
}

/** The name of the site file that bears on one batch. */
export const lotsFileNameOf = (code: string): string =>
  `${safeName(code)}-lots.zealous-heap-site.json`;

export const fileNameOf = (code: string, version?: number): string =>
  `${safeName(code)}${version === undefined ? '' : `-v${version}`}.zealous-heap.json`;

function againOf(
  { digest, head, seal, end, earlier }: AskFile,
  code: string,
  assessment: BatchAssessment | null,
  now: Instant,
): RecordDoc['again'] {
  const assessed = assessment?.rules ?? [];
  const commandOf = (fileName: string, of: typeof assessed): string =>
    say('record.zealousVerifyAsOf', {
      fileName,
      of: of.map((r) => ` --rule ${r.rule.id}`).join(''),
      isoOf: isoOf(now),
    });
  const kept = assessed.filter((r) => r.present !== undefined);
  const versions = [...new Set(kept.map((r) => r.terms.version))].filter((v) => earlier?.has(v));
  return {
    digest,
    head,
    seal,
    end: end ?? null,
    fileName: fileNameOf(code),
    command:
      assessed.length > 0 && kept.length === assessed.length
        ? null
        : commandOf(
            fileNameOf(code),
            assessed.filter((r) => r.present === undefined),
          ),
    earlier: versions.map((version) => {
      const fileName = fileNameOf(code, version);
      return {
        version,
        digest: valueAt(earlier!, version),
        fileName,
        command: commandOf(
          fileName,
          kept.filter((r) => r.terms.version === version),
        ),
      };
    }),
  };
}

/** The initial C:N of the mix, or why it cannot be told. */
function cnText(cn: Figure | null): string {
  if (cn === null) return say('record.stillBeingBuilt');
  if (!cn.ok) return say('record.notKnown', { missing: listText(cn.missing) });
  const { low, value, high } = cn.est;
  return Math.round(low) === Math.round(high)
    ? say('record.n1FromWhatWasLogged', { value: Math.round(value) })
    : say('record.n1BetweenFromWhatWas', {
        value: Math.round(value),
        low: Math.round(low),
        high: Math.round(high),
      });
}

const outcomeOf = (said: readonly Said[]): RecordDoc['outcome'] =>
  said.map((v) => ({
    rule: v.full,
    met: v.status === 'proven',
    text:
      v.status === 'proven'
        ? v.short
        : isCannotSay(v.code)
          ? say('record.cannotSay', { short: v.short })
          : say('record.notMet', { short: v.short }),
  }));

/** How good the evidence is, apart from what it says. */
function qualityOf(assessment: BatchAssessment | null, off: readonly OffSpan[]): string[] {
  const lead = assessment?.rules[0];
  const grade = lead ? gradeOf(assessment.prepared, lead.assessment, off) : null;
  if (!grade) return [say('record.noTemperaturesSinceClockStarted')];
  return [
    say('record.overallWeakestPartCountsMost', { gradeword: GRADE_WORD[grade.grade] }),
    ...grade.findings.map(
      ({ finding, grade: own }) => `${GRADE_WORD[own]}: ${findingText(finding).is}.`,
    ),
  ];
}

/** What somebody said that the heap is, with what stands behind it; none while it is worked. */
function standingRow({ stage, situation, claim }: BatchStatus, locale: Locale): [string, string][] {
  if (stage.by === null) return [];
  return [
    [
      say('record.result'),
      `${stageText(stage, locale, situation.rounds.length > 0)}. ${claimText(claim, locale)}`,
    ],
  ];
}

/** @param ask the batch as its log tells it, and the moment it is judged at */
export function recordDoc(ask: Ask): RecordDoc {
  const { state, site, siteState, now, unit } = ask;
  const timeZone = state.opened.brought?.timeZone ?? site.timeZone;
  const locale = { timeZone, unit, now };
  const labels = new Map(state.points.map((p) => [p.id, p.label?.split(' ')[0] ?? p.id]));
  const page: Page = {
    ...ask,
    when: (at) => whenText(timeZone, at),
    place: (id) => labels.get(id) ?? id,
  };
  const assessment = assessBatch(state, site, siteState, now);
  const snapshot = createBatchSnapshot(state, site, siteState, now, assessment);
  const status = statusOfBatch(snapshot, now);
  const cn = initialCnOf(ask.store ?? foldStore(state.entries), state.id, state.builtAt);
  const said = assessment ? saidOf(assessment, status, state.terms.length, locale, cn) : [];
  const { code } = state.opened;
  return {
    title: say('record.heatTreatmentRecord'),
    site: site.name,
    code,
    made: whenText(timeZone, now),
    asOf: now,
    identity: [...identityOf(page, cnText(cn)), ...standingRow(status, locale)],
    outcome: outcomeOf(said),
    quality: qualityOf(assessment, openDoubts(snapshot.checkDoubts, siteState)),
    held: heldText(LIBRARY_EDITION),
    sign: [say('record.name'), say('record.signature'), say('record.date')],
    verdicts: said.map((v) => ({
      ...v,
      sentence: plainText(v.sentence),
      notes: v.notes.map((n) => n.text),
    })),
    chart: assessment && state.readings.length > 0 ? chartView(state, assessment, locale) : null,
    rounds: assessment
      ? roundsTable(page, assessment)
      : { head: [], rows: [], none: say('record.noClockHasStartedYet') },
    works: worksTable(page),
    after: ask.after ?? null,
    faults: ask.faults ?? [],
    questions: ask.questions ?? { open: [], settled: [] },
    corrections: correctionsTable(page),
    checks: checksTable(page),
    notCovered: notCoveredOf(page, assessment),
    cautions: [
      `${CAUTION.steam} ${CAUTION.spores}`,
      say('record.whetherThisMeetsLawWhere'),
      say('record.thisRecordSaysWhichRule'),
    ],
    again: ask.file ? againOf(ask.file, code, assessment, now) : null,
  };
}

/** The batches that a record can be made of, for the page of records. */
export const recordRows = (board: readonly BatchSnapshot[], locale: Locale) =>
  board.map((d) => {
    const { timeZone, now } = locale;
    const status = statusOfBatch(d, now);
    const { main } = status;
    return {
      id: d.id,
      code: d.code,
      name: d.name ?? d.code,
      building: d.builtAt === null,
      gone: status.isGone,
      /** The year that it was built in: a site speaks of its seasons by it. */
      season: String(localParts(timeZone, d.builtAt ?? d.openedAt).year),
      builtAt: d.builtAt ?? d.openedAt,
      place: positionText(d.position),
      proven: main !== null && main.facts.provenAt !== null,
      builtDay: localInput(timeZone, d.builtAt ?? d.openedAt).slice(0, 10),
      built: d.builtAt === null ? say('record.stillBeingBuilt') : dayText(timeZone, d.builtAt),
      rule: main ? libraryText(main.title) : '',
      standing: main
        ? recordLine(status, locale)
        : d.builtAt === null
          ? say('record.noClockHasStarted')
          : say('record.noRuleToMeet'),
      says: saysOf(status, 'main'),
    };
  });
export type RecordRow = ReturnType<typeof recordRows>[number];
