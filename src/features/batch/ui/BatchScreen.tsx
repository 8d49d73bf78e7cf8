import { Parts } from '@/ui/Marked';
import { say } from '@/messages/say';
import { Term } from '@/ui/Term';
import { GLOSSARY, type GlossaryTerm } from '@/core/words/glossary';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { HeatChart, type HeatChartData } from '@/charts/HeatChart';
import { Knot } from '@/charts/Knot';
import { Mound, type MoundProps } from '@/charts/Mound';
import { memoryText } from '@/core/rules/text';
import { DataTable } from './DataTable';
import { Section, type SectionPoint } from '@/charts/Section';
import { DisclosureGroup, GroupedDisclosure } from '@/ui/Disclosure';
import type { gradeView } from '../judged';
import { Beyond, GradeLine, Strictness } from './Judged';
import type { AdviceView } from '../advice';
import { Danger, Diagnoses, Rebounds, SizeAdvice, Todo } from './Advice';

type Piece = { readonly text: string; readonly strong?: true };
type VerdictView = {
  id: string;
  title: string;
  status: string;
  word: string;
  /** Facts that it states. */ says?: string | undefined;
  sentence: readonly Piece[];
  short: string;
  source: string;
  fromMemory: boolean;
  conditions: readonly string[];
  cn: string | null;
  full: string;
  caution: string | null;
  policy: string;
  clock: string;
  asks: string;
  version: string;
  kept: boolean;
  notes: readonly { code: string; text: string }[];
};
export type BatchScreenProps = {
  readonly id: string;
  readonly name: string;
  readonly facts: string;
  readonly factsSays?: string | undefined;
  readonly picture: MoundProps & { says: string };
  readonly building: boolean;
  readonly advice: AdviceView;
  readonly age: string | null;
  readonly adopted: string | null;
  readonly actions: ReactNode;
  readonly kin: ReactNode;
  /** What speaks against its evidence. */ readonly questions?: ReactNode;
  /** What went in that is to be minded at every use. */ readonly concerns?: ReactNode;
  readonly verdicts: readonly VerdictView[];
  readonly chart: HeatChartData | null;
  readonly section: {
    when: string;
    unread: readonly string[];
    coldest: string;
    points: readonly (SectionPoint & { name: string })[];
  } | null;
  /** Changes with the log and with what this device shows. */ readonly version: string;
  /** What can be opened: tables and figures that are worked out then. */ readonly opens: {
    readonly rounds: boolean;
    readonly strictness: boolean;
    readonly beyond: boolean;
  };
  readonly grade: ReturnType<typeof gradeView>;
  readonly logBar: ReactNode;
  readonly log: ReactNode;
  /** What went into it. */ readonly went: ReactNode;
  /** Where its records and files are. */ readonly links: ReactNode;
};

/** One heap: the verdict in a sentence, the evidence drawn, what to do, and the log. */
export function BatchScreen(p: BatchScreenProps) {
  const [lead, ...others] = p.verdicts;
  // A proof never stands without the policy it was reached under; one policy holds for all rules of a heap.
  const proven = p.verdicts.find((v) => v.status === 'proven');
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,386px)]">
      <div className="min-w-0 px-4 pt-4 pb-5 flex flex-col gap-3">
        <Danger a={p.advice} name={p.name} className="lg:hidden" />
        <section
          className="flex gap-6 items-end max-sm:flex-col max-sm:items-start"
          aria-labelledby="heap-name"
        >
          <svg
            viewBox="0 -6 210 134"
            className="w-[210px] flex-none max-sm:w-[150px]"
            role="img"
            aria-label={p.picture.says}
          >
            <Mound
              heap={p.picture}
              place={{ x: 104, base: 116, maxW: 196, maxH: 92, largest: p.picture.volume }}
            />
            <rect x="0" y="116" width="210" height="5" fill="var(--color-soil)" />
            <path d="M0 116H210" stroke="var(--color-ink)" strokeWidth="1.8" />
          </svg>
          <div className="min-w-0 flex-1">
            <div className="flex flex-wrap items-baseline gap-x-3">
              <h1 id="heap-name">{p.name}</h1>
              <span className="q text-hint" data-says={p.factsSays}>
                {p.facts}
              </span>
            </div>
            <p className="q text-hint" data-testid="stage" data-says={p.advice.stageSays}>
              {p.advice.stage} · {p.advice.method}
            </p>
            {p.adopted && (
              <p className="text-small border-l-[4px] border-ink pl-2.5 mt-1" data-testid="adopted">
                {p.adopted}
              </p>
            )}
            {!lead && !p.building ? (
              <p className="mt-2 text-head leading-[26px]" data-testid="verdict" data-status="none">
                {say('batch.itHasNoRuleMeet')}
              </p>
            ) : lead ? (
              <p
                className="mt-2 text-head leading-[26px]"
                data-testid="verdict"
                data-rule={lead.id}
                data-status={lead.status}
              >
                <Parts parts={lead.sentence} />
              </p>
            ) : (
              <p className="mt-2 text-head leading-[26px]">
                {say('batch.stillBeingBuiltClockStarts')}
              </p>
            )}
            {p.questions}
            {lead && (
              <ul className="mt-2 flex flex-wrap gap-x-5 gap-y-2">
                {[lead, ...others].map((v) => (
                  <li
                    key={v.id}
                    className="ruled pt-1 min-w-[190px] flex-1"
                    data-testid="rule"
                    data-says={v.says}
                    data-rule={v.id}
                    data-status={v.status}
                  >
                    <b className="font-[650] text-hint block">
                      <RuleName id={v.id} title={v.title} />
                    </b>
                    {v.status === 'proven' ? (
                      <span className="text-stamp font-semibold text-small flex items-center gap-1">
                        <svg width="34" height="16" aria-hidden="true">
                          <Knot cx={17} cy={8} r={7.5} />
                        </svg>
                        {v.short}
                      </span>
                    ) : (
                      <span className="q text-small">{v.short}</span>
                    )}
                  </li>
                ))}
              </ul>
            )}
            {p.verdicts.length > 1 && (
              <p className="text-small mt-1.5 font-semibold" data-testid="met">
                {say('batch.meetsOfRules', {
                  verdicts: p.verdicts.filter((v) => v.status === 'proven').length,
                  verdicts2: p.verdicts.length,
                })}
              </p>
            )}
            {proven && (
              <p className="q text-note leading-[1.3] mt-1.5">
                {proven.policy}
                {proven.kept ? ` ${proven.version}` : ''}
              </p>
            )}
          </div>
        </section>
        <Todo a={p.advice} age={p.age} actions={p.actions} className="lg:hidden ruled pt-2" />
        {p.concerns}
        {p.logBar}
        {p.building && p.went}
        {p.chart && (
          <section aria-labelledby="heat-title">
            <div className="flex flex-wrap justify-between items-baseline gap-x-4">
              <h2 id="heat-title" className="!text-figure">
                {say('batch.temperaturesEveryCheckSinceWas')}
              </h2>
              <p className="text-note q flex gap-4 flex-wrap">
                <span className="whitespace-nowrap">
                  <svg className="inline" width="26" height="8" aria-hidden="true">
                    <path d="M0 4h26" stroke="var(--color-ink)" strokeWidth="2.5" />
                  </svg>{' '}
                  <Term {...GLOSSARY.coldest}>{say('batch.coldestPoint2')}</Term>
                </span>
                <span className="whitespace-nowrap">
                  <svg className="inline" width="26" height="8" aria-hidden="true">
                    <path d="M0 4h26" stroke="var(--color-ink-3)" />
                  </svg>{' '}
                  {say('batch.otherPoints')}
                </span>
                <span className="whitespace-nowrap">
                  <svg className="inline" width="10" height="10" aria-hidden="true">
                    <circle
                      cx="5"
                      cy="5"
                      r="3"
                      fill="var(--color-sheet)"
                      stroke="var(--color-ink)"
                      strokeWidth="1.4"
                    />
                  </svg>{' '}
                  {say('batch.belowTheLimit')}
                </span>
                <span className="whitespace-nowrap">
                  <svg className="inline" width="16" height="12" aria-hidden="true">
                    <rect
                      x=".5"
                      y=".5"
                      width="15"
                      height="11"
                      fill="var(--color-prove-wash)"
                      stroke="var(--color-rule-2)"
                    />
                  </svg>{' '}
                  {p.chart.floorLabel}
                </span>
              </p>
            </div>
            <HeatChart data={p.chart} />
          </section>
        )}
        <Diagnoses a={p.advice} />
        <DisclosureGroup id="evidence" title={say('batch.evidence')}>
          {p.opens.rounds && <DataTable batch={p.id} version={p.version} />}
          {p.verdicts.length > 0 && <Reasons verdicts={p.verdicts} />}
          {p.grade && <GradeLine grade={p.grade} />}
          {p.opens.strictness && <Strictness batch={p.id} version={p.version} />}
        </DisclosureGroup>
        <DisclosureGroup id="done" title={say('batch.whatWasDone')}>
          {!p.building && (
            <>
              <GroupedDisclosure name="went" summary={say('batch.whatWentIntoIt')}>
                {p.went}
              </GroupedDisclosure>
              <Rebounds a={p.advice} />
              <SizeAdvice a={p.advice} />
            </>
          )}
          {p.kin}
        </DisclosureGroup>
        <DisclosureGroup id="beyond" title={say('batch.beyondTheRule')}>
          {p.opens.beyond && <Beyond batch={p.id} version={p.version} />}
        </DisclosureGroup>
        {p.links}
      </div>
      <aside
        className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-4 pt-4 pb-5 max-sm:pb-24 flex flex-col gap-4"
        aria-label={say('batch.whatDoLog')}
      >
        <Danger a={p.advice} name={p.name} className="max-lg:hidden" />
        <Todo a={p.advice} age={p.age} actions={p.actions} className="max-lg:hidden" />
        {p.section && (
          <section aria-labelledby="inside" className="ruled pt-1.5">
            <h2 id="inside" className="!text-lead">
              {say('batch.insideIt', { when: p.section.when })}
            </h2>
            <Section
              points={p.section.points}
              says={p.section.points.map((x) => `${x.name} ${x.figure}`).join(', ')}
            />
            <p className="text-small">
              <b>{p.section.coldest}</b>{' '}
              {say('batch.isColdestDecides', {
                unread:
                  p.section.unread.length > 0
                    ? say('batch.notRead', { unread: p.section.unread.join(', ') })
                    : '',
              })}
            </p>
          </section>
        )}
        {p.log}
      </aside>
    </div>
  );
}

/** Where the records and the files of a batch are. */
export const BatchLinks = ({ id }: { id: string }) => (
  <div className="flex flex-wrap gap-x-5 gap-y-2 items-center ruled pt-3">
    <Link prefetch={false} className="btn" href={`/batch/${id}/record`}>
      {say('batch.heatTreatmentRecord')}
    </Link>
    <p className="flex flex-wrap gap-x-5 gap-y-1 text-small">
      <Link prefetch={false} className="link" href={`/batch/${id}/rules`}>
        {say('batch.rulesPolicyThisBatch')}
      </Link>
      <Link prefetch={false} className="link" href={`/lots/${id}`}>
        {say('batch.curingTestsRelease')}
      </Link>
      <Link prefetch={false} className="link" href={`/batch/${id}/paper`}>
        {say('batch.typePaperSheet')}
      </Link>
      <Link prefetch={false} className="link" href={`/batch/${id}/import`}>
        {say('batch.importReadings')}
      </Link>
      <Link prefetch={false} className="link" href={`/compare?h=${id}`}>
        {say('batch.compareWithOthers')}
      </Link>
      <span className="q">{say('batch.export')}</span>
      <a className="link" href={`/batch/${id}/file`}>
        {say('batch.batchFileOpenJson')}
      </a>
      <a className="link" href={`/batch/${id}/readings`}>
        {say('batch.readingsCsv')}
      </a>
    </p>
  </div>
);

/** The process that a rule of the library asks for, where the trade has a word for it. */
const PROCESS: Readonly<Partial<Record<string, GlossaryTerm>>> = {
  'us-503-pfrp-turned': GLOSSARY.pfrp,
  'us-503-pfrp-static': GLOSSARY.pfrp,
  'us-503-psrp': GLOSSARY.psrp,
};
/** The name of a rule, explained where it stands. */
function RuleName({ id, title }: { id: string; title: string }) {
  const term = PROCESS[id];
  return term ? <Term {...term}>{title}</Term> : title;
}

/** Each rule's own words: where it comes from, how it was judged, and every reason. */
function Reasons({ verdicts }: { verdicts: readonly VerdictView[] }) {
  return (
    <GroupedDisclosure name="judged" summary={say('batch.howEachRuleWasJudged')}>
      <ul className="flex flex-col gap-4">
        {verdicts.map((v) => (
          <li key={v.id} className="text-small">
            <h3>
              {v.full}: {v.word.toLowerCase()}
            </h3>
            <p>
              <Parts parts={v.sentence} />
            </p>
            <p>{say('batch.itAsksFor', { asks: v.asks })}</p>
            <p className="q">
              {v.clock} {v.version}
            </p>
            <p className="q">
              {v.source}.{v.fromMemory && ` ${memoryText()}`}
            </p>
            {v.cn && <p data-testid="initial-cn">{v.cn}</p>}
            {v.conditions.length > 0 && (
              <p className="q">
                {say('batch.itAlsoAsksForThis', {
                  toLowerCase: v.conditions.join('; ').toLowerCase(),
                })}
              </p>
            )}
            {v.caution && <p className="q">{v.caution}</p>}
            <p className="q">{v.policy}</p>
            {v.notes.length > 0 && (
              <ul className="list-disc pl-5 mt-1">
                {v.notes.slice(-40).map((n, i) => (
                  <li key={i}>{n.text}</li>
                ))}
              </ul>
            )}
          </li>
        ))}
      </ul>
    </GroupedDisclosure>
  );
}
