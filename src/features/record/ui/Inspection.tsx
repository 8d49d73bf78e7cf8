import { say } from '@/messages/say';
import type { InspectedBatch, InspectionView } from '../inspection-view';
import { HeatRecord } from './Record';

const Fact = ({ title, lines }: { title: string; lines: readonly string[] }) => (
  <div className="grid grid-cols-[190px_1fr] max-sm:grid-cols-1 gap-x-4 border-b border-rule py-1.5">
    <dt className="font-semibold">{title}</dt>
    <dd>
      {lines.map((l) => (
        <p key={l}>{l}</p>
      ))}
    </dd>
  </div>
);

/** One batch: its standards by name, then who, with what, how that was checked, what is missing; the whole record one press away. */
const Batch = ({ b, token }: { b: InspectedBatch; token: string }) => (
  <section className="mt-6" data-testid="inspected">
    <h2 className="border-b-[1.6px] border-ink pb-1">{b.name}</h2>
    {b.outcome.map((o) => (
      <p key={o.rule} className="mt-1">
        <span aria-hidden="true" className="inline-block w-5 font-bold">
          {o.met ? '✓' : '✗'}
        </span>
        <b>{o.rule}</b>: {o.text}
      </p>
    ))}
    <dl className="mt-2">
      <Fact title={say('record.whoMeasured')} lines={[b.whoMeasured]} />
      <Fact title={say('record.withWhat')} lines={[b.withWhat]} />
      <Fact title={say('record.checkedHow')} lines={b.checked} />
      <Fact
        title={say('record.whatIsMissing')}
        lines={b.missing.length > 0 ? b.missing : [say('record.nothingMissing')]}
      />
    </dl>
    <p className="mt-2">
      <a className="btn" href={`/inspect/${token}/file/${b.id}`}>
        {say('record.batchFileJson')}
      </a>
    </p>
    <details className="mt-2">
      <summary className="link min-h-target">{say('record.wholeRecord')}</summary>
      <HeatRecord record={b.record} />
    </details>
  </section>
);

/** What whoever has an inspector's link reads. */
export const Inspection = ({ view, token }: { view: InspectionView; token: string }) => (
  <>
    <h1>{say('record.inspectionOf', { site: view.site })}</h1>
    <p className="q">{say('record.openUntil', { until: view.until })}</p>
    <div
      className={`border-[1.6px] border-ink px-4 py-3 mt-3 ${view.changed ? 'bg-marker' : ''}`}
      role={view.changed ? 'alert' : 'status'}
      data-testid="since-visit"
    >
      {view.since.map((s) => (
        <p key={s}>{s}</p>
      ))}
    </div>
    <p className="mt-3">
      <a className="link" href="/check-a-record.html" download>
        {say('record.selfCheckingPageHtml')}
      </a>
    </p>
    {view.batches.map((b) => (
      <Batch key={b.id} b={b} token={token} />
    ))}
  </>
);
