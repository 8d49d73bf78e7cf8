'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import { DraftScope } from '@/ui/draft';
import { OldPage } from '@/ui/OldPage';
import { Sheet } from '@/ui/Sheet';
import type { LotPageView } from '../view';
import { DecideForm, OutcomeForm, PageForm, VoidForm } from './DecideForm';
import { IntoBatchForm } from './IntoBatchForm';
import { ReportForm, SampleForm } from './LabForms';
import { LookForm } from './LookForm';
import { CureForm, MoveLotForm, MeasureForm } from './MoveForms';
import { OutForm } from './OutForm';
import type { LotFormProps, LotRef } from './parts';
import { Release } from './Release';
import { ScreenForm } from './ScreenForm';
import { StartTestForm, TestForm } from './TestForms';

type Act =
  | {
      readonly what:
        | 'look'
        | 'size'
        | 'cure'
        | 'move'
        | 'into'
        | 'screen'
        | 'out'
        | 'test'
        | 'sample'
        | 'decide'
        | 'page';
    }
  | { readonly what: 'goOn' | 'report' | 'outcome' | 'void'; readonly of: string };

/** Forms that need nothing but the lot. */
const FORMS = {
  look: LookForm,
  size: MeasureForm,
  cure: CureForm,
  move: MoveLotForm,
  into: IntoBatchForm,
  screen: ScreenForm,
  out: OutForm,
  sample: SampleForm,
} as const;

/** Acts that decide something: on an old page they say so first. */
const DECIDES: ReadonlySet<Act['what']> = new Set<Act['what']>(['decide', 'cure', 'out', 'move']);

/** The form of an act. */
function ActForm({ act, page, ...props }: LotFormProps & { act: Act; page: LotPageView }) {
  switch (act.what) {
    case 'decide':
      return <DecideForm {...props} page={page} />;
    case 'test':
      return <StartTestForm {...props} guide={page.testGuide} />;
    case 'page':
      return <PageForm {...props} page={page} />;
    case 'report':
      return <ReportForm {...props} sample={act.of} />;
    case 'outcome':
      return <OutcomeForm {...props} out={act.of} />;
    case 'void':
      return <VoidForm {...props} target={act.of} />;
    case 'goOn': {
      const test = page.tests.find((t) => t.id === act.of);
      return test ? <TestForm {...props} test={test} guide={page.testGuide} /> : null;
    }
    default: {
      const Form = FORMS[act.what];
      return <Form {...props} />;
    }
  }
}

const Section = ({ title, children }: { title: string; children: ReactNode }) => (
  <section>
    <h2 className="!text-says border-b-[1.6px] border-ink pb-1">{title}</h2>
    {children}
  </section>
);

/** What may be done with a lot now, the weekly look first. */
function Acts({ page, onAct }: { page: LotPageView; onAct: (a: Act) => void }) {
  const acts = (
    page.isLot
      ? (['look', 'test', 'sample', 'screen', 'move', 'into', 'out', 'size', 'decide'] as const)
      : (['cure', 'test', 'sample', 'screen', 'out', 'decide'] as const)
  ).filter((what) => !page.row.empty || what === 'size');
  return (
    <p className="flex flex-wrap gap-2" data-testid="lot-acts">
      {acts.map((what) => (
        <button
          key={what}
          type="button"
          className="btn !min-h-glove"
          onClick={() => onAct({ what })}
        >
          {say('lots.act', { what })}
        </button>
      ))}
    </p>
  );
}

function Due({ page, onAct }: { page: LotPageView; onAct: (a: Act) => void }) {
  return page.due.map((d) => (
    <p key={d.text} className="flex flex-wrap items-center gap-3" data-testid="lot-due">
      <span className="marked font-semibold">{d.text}</span>
      <button
        type="button"
        className="btn"
        onClick={() => onAct(d.test === null ? { what: 'look' } : { what: 'goOn', of: d.test })}
      >
        {say('lots.logIt')}
      </button>
    </p>
  ));
}

function Tests({ page, onAct }: { page: LotPageView; onAct: (a: Act) => void }) {
  if (page.tests.length === 0) return <p className="hint mt-1">{say('lots.noTestsYet')}</p>;
  return (
    <ul>
      {page.tests.map((t) => (
        <li key={t.id} className="border-b border-rule py-2" data-testid="test">
          <p>
            <b>{t.title}</b>: <b>{t.outcome}</b>
            {t.figure && `, ${t.figure}`} <span className="q text-hint">{t.when}</span>
          </p>
          {t.stale && <p className="text-hint marked w-fit">{say('lots.staleTest')}</p>}
          {t.gaps.map((g) => (
            <p key={g} className="text-hint">
              {g}
            </p>
          ))}
          {t.photos.map((hash) => (
            <a key={hash} href={`/api/photo/${hash}`} className="inline-block mt-1 mr-2">
              <img src={`/api/photo/${hash}?small`} alt={t.title} width={120} />
            </a>
          ))}
          {t.isOpen && (
            <button
              type="button"
              className="btn mt-1"
              onClick={() => onAct({ what: 'goOn', of: t.id })}
            >
              {say('lots.logReading')}
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}

function Lab({ page, onAct }: { page: LotPageView; onAct: (a: Act) => void }) {
  if (page.samples.length === 0) return <p className="hint mt-1">{say('lots.noSamplesYet')}</p>;
  return (
    <ul>
      {page.samples.map((s) => (
        <li key={s.id} className="border-b border-rule py-2">
          <p>
            <b>{s.title}</b>
            {s.stale && <span className="marked text-hint ml-2">{say('lots.staleTest')}</span>}
          </p>
          {s.lines.map((l) => (
            <p key={l.analyte + l.value} className="text-hint">
              {l.analyte}: {l.value}
            </p>
          ))}
          <p className="flex flex-wrap gap-3 mt-1">
            <button
              type="button"
              className="btn"
              onClick={() => onAct({ what: 'report', of: s.id })}
            >
              {say('lots.logResults')}
            </button>
            <Link prefetch={false} className="link self-center" href={`/lots/custody/${s.id}`}>
              {say('lots.custodySheet')}
            </Link>
          </p>
        </li>
      ))}
    </ul>
  );
}

/** Where it came from, each with its share: loads add up to the whole, and so do the ways that they took. */
const Sources = ({ title, sources }: { title: string; sources: LotPageView['sources'] }) =>
  sources.length > 0 && (
    <table className="w-full text-left mt-1">
      <caption className="text-left q text-hint">{title}</caption>
      <tbody>
        {sources.map((s) => (
          <tr key={s.href} className="border-b border-rule">
            <td className="py-1">
              <Link
                prefetch={false}
                href={s.href}
                className="link pointer-coarse:py-2.5 inline-block"
              >
                {s.name}
              </Link>{' '}
              {!s.isLoad && <span className="q text-hint">{s.kind}</span>}
            </td>
            <td className="py-1 text-right font-semibold">{s.share}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );

function Came({ page }: { page: LotPageView }) {
  return (
    <>
      <p className="hint mt-1">{say('record.sharesByVolume')}</p>
      <Sources title={say('lots.byLoads')} sources={page.sources.filter((s) => s.isLoad)} />
      <Sources title={say('lots.byWay')} sources={page.sources.filter((s) => !s.isLoad)} />
      <p className="mt-1">
        <Link
          prefetch={false}
          className="link pointer-coarse:py-2.5 inline-block"
          href={`/lots/trace?of=${page.id}`}
        >
          {say('lots.traceThis')}
        </Link>
      </p>
    </>
  );
}

function Went({ page, onAct }: { page: LotPageView; onAct: (a: Act) => void }) {
  return (
    <ul>
      {page.outs.map((o) => (
        <li key={o.id} className="border-b border-rule py-2 flex flex-wrap justify-between gap-2">
          <span>
            {o.text}
            {o.outcomes.map((x) => (
              <span key={x} className="block text-hint">
                {x}
              </span>
            ))}
          </span>
          <button
            type="button"
            className="link pointer-coarse:py-2.5"
            onClick={() => onAct({ what: 'outcome', of: o.id })}
          >
            {say('lots.whatCameOfIt')}
          </button>
        </li>
      ))}
    </ul>
  );
}

function History({ page, onAct }: { page: LotPageView; onAct: (a: Act) => void }) {
  return (
    <details className="mt-1">
      <summary className="link min-h-target">
        {say('lots.history', { n: page.history.length })}
      </summary>
      <ul>
        {page.history.map((h) => (
          <li
            key={h.id}
            className="border-b border-rule py-1.5 flex flex-wrap justify-between gap-2"
          >
            <span>
              {h.title}{' '}
              <span className="q text-hint">
                {[h.detail, h.when, h.by].filter(Boolean).join(', ')}
              </span>
            </span>
            {h.canVoid && (
              <button
                type="button"
                className="link text-hint pointer-coarse:py-2.5"
                onClick={() => onAct({ what: 'void', of: h.id })}
              >
                {say('lots.void')}
              </button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** The public page of the lot with its label, and the form that switches it on or off. */
const PublicPage = ({ page, onAct }: { page: LotPageView; onAct: (a: Act) => void }) => (
  <p className="flex flex-wrap gap-x-5 gap-y-1 items-center">
    <span>{page.shown ? say('lots.pageIsOn') : say('lots.pageIsOff')}</span>
    {page.shown && (
      <>
        <Link
          prefetch={false}
          className="link pointer-coarse:py-2.5 inline-block"
          href={`/p/${page.id}`}
        >
          {say('lots.publicPage')}
        </Link>
        <Link
          prefetch={false}
          className="link pointer-coarse:py-2.5 inline-block"
          href={`/lots/label/${page.id}`}
        >
          {say('lots.label')}
        </Link>
      </>
    )}
    <button type="button" className="btn" onClick={() => onAct({ what: 'page' })}>
      {page.shown ? say('lots.change') : say('lots.switchPageOn')}
    </button>
  </p>
);

/** What the lot is, how much of it there is, and how much of that was never heated. */
function Heading({ page: { row, decision } }: { page: LotPageView }) {
  const facts = row.empty
    ? [row.kind, row.where, say('lots.isEmpty')]
    : [row.kind, row.where, row.amount, row.age];
  return (
    <>
      <div>
        <h1>{row.title}</h1>
        <p className="q mt-1">{facts.filter(Boolean).join(', ')}</p>
        {!row.empty && <p className="mt-1 font-semibold">{row.unheated}</p>}
      </div>
      {decision?.inQuestion && (
        <p role="alert" className="marked font-semibold w-fit" data-testid="in-question">
          {decision.questions.length > 0
            ? say('lots.releaseInQuestion', { items: decision.questions.join(', ') })
            : say('lots.releaseInQuestionAlone')}
        </p>
      )}
    </>
  );
}

/** Tests, laboratory, where it came from, where it went. */
const Evidence = ({ page, onAct }: { page: LotPageView; onAct: (a: Act) => void }) => (
  <div className="grid md:grid-cols-2 gap-x-10 gap-y-5">
    <Section title={say('lots.maturityTests')}>
      <Tests page={page} onAct={onAct} />
    </Section>
    <Section title={say('store.laboratory2')}>
      <Lab page={page} onAct={onAct} />
    </Section>
    {page.sources.length > 0 && (
      <Section title={say('lots.whatIsInIt')}>
        <Came page={page} />
      </Section>
    )}
    {page.outs.length > 0 && (
      <Section title={say('store.whereItWent')}>
        <Went page={page} onAct={onAct} />
      </Section>
    )}
  </div>
);

/** One lot: what it asks for, what is in it, its tests, what it may be used for, where it went. */
export function LotScreen({
  page,
  lot,
  questions,
  concerns,
}: {
  page: LotPageView;
  lot: LotRef;
  /** What speaks against its evidence. */ questions: ReactNode;
  /** What went in and limits its use. */ concerns: ReactNode;
}) {
  const [act, setAct] = useState<Act | null>(null);
  return (
    <div className="px-5 max-sm:px-4 py-5 max-w-[1080px] flex flex-col gap-4">
      <p>
        <Link prefetch={false} className="link pointer-coarse:py-2.5 inline-block" href="/lots">
          {say('lots.title')}
        </Link>
      </p>
      <Heading page={page} />
      {questions}
      <Due page={page} onAct={setAct} />
      <Acts page={page} onAct={setAct} />
      {concerns}
      <Release page={page} />
      <Evidence page={page} onAct={setAct} />
      {page.isLot && <PublicPage page={page} onAct={setAct} />}
      <History page={page} onAct={setAct} />
      {act && (
        <Sheet
          open
          onOpenChange={(open) => !open && setAct(null)}
          title={say('lots.act', { what: act.what })}
        >
          <DraftScope name={`lot ${page.id} ${act.what} ${'of' in act ? act.of : ''}`}>
            {DECIDES.has(act.what) && <OldPage />}
            <ActForm act={act} page={page} lot={lot} onDone={() => setAct(null)} />
          </DraftScope>
        </Sheet>
      )}
    </div>
  );
}
