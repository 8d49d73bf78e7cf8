import { say } from '@/messages/say';
import { HeatChart } from '@/charts/HeatChart';
import { questionParts } from '../question-parts';
import type { LogEnd, RecordDoc, Table } from '../view';

/** Rows as they are printed. */
export function PrintTable({ table, label }: { table: Table; label: string }) {
  if (table.rows.length === 0) return <p className="q">{table.none}</p>;
  return (
    <div
      className="relative overflow-x-auto print:overflow-visible"
      tabIndex={0}
      role="group"
      aria-label={label}
    >
      <table className="text-note border-collapse w-full">
        <thead>
          <tr className="text-left border-b-[1.6px] border-ink">
            {table.head.map((h) => (
              <th key={h} className="py-1 pr-3 align-bottom">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row, i) => (
            <tr key={i} className="border-b border-rule align-top break-inside-avoid">
              {row.map((c, j) => (
                <td key={j} className={`py-1 pr-3 ${j === 0 ? 'whitespace-nowrap' : ''}`}>
                  {c}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {table.more && <p className="hint mt-1">{table.more}</p>}
    </div>
  );
}

const Part = ({ title, children }: { title: string; children: React.ReactNode }) => (
  <section className="ruled pt-2 mt-5">
    <h2 className="!text-subhead mb-1.5">{title}</h2>
    {children}
  </section>
);

/** The record as a page, on the screen and on paper. */
export function HeatRecord({ record }: { record: RecordDoc }) {
  return (
    <article className="text-small record">
      {record.faults.length > 0 && (
        <div className="border-[1.6px] border-ink bg-marker px-3 py-2 mb-3" data-testid="faults">
          <p className="font-semibold">{say('trust.doesNotFit')}</p>
          {record.faults.map((f) => (
            <p key={f}>{f}</p>
          ))}
        </div>
      )}
      {questionParts(record).map(([title, lines]) => (
        <div
          key={title}
          className="border-[1.6px] border-ink px-3 py-2 mb-3"
          data-testid="record-questions"
        >
          <p className="font-semibold">{title}</p>
          {lines.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </div>
      ))}
      <h1>{record.title}</h1>
      <p className="q mt-1">
        {say('record.madeFromLogAtTime', { site: record.site, made: record.made })}
      </p>
      <dl className="grid grid-cols-[130px_1fr] max-sm:grid-cols-1 gap-x-4 gap-y-0.5 mt-3">
        {record.identity.map(([k, v]) => (
          <div key={k} className="contents">
            <dt className="font-semibold">{k}</dt>
            <dd className="max-sm:mb-1">{v}</dd>
          </div>
        ))}
      </dl>
      {record.outcome.length > 0 && (
        <Part title={say('record.metOrNotMet')}>
          <ul>
            {record.outcome.map((o) => (
              <li key={o.rule} className="flex flex-wrap gap-x-3 border-b border-rule py-1">
                <b className={o.met ? 'text-stamp' : ''}>{o.text}</b>
                <span>{o.rule}</span>
              </li>
            ))}
          </ul>
          <p className="q mt-1">{record.held}</p>
        </Part>
      )}
      <Part title={say('record.signedForTheSite')}>
        <dl className="grid grid-cols-[90px_1fr] gap-y-4 mt-2 max-w-[520px]">
          {record.sign.map((s) => (
            <div key={s} className="contents">
              <dt>{s}</dt>
              <dd className="border-b border-ink min-h-[22px]" />
            </div>
          ))}
        </dl>
      </Part>
      <Part title={say('record.verdict')}>
        {record.verdicts.length === 0 && <p>{say('record.theBatchStillBeingBuilt')}</p>}
        <ul className="flex flex-col gap-4">
          {record.verdicts.map((v) => (
            <li key={v.id}>
              <h3 className={v.status === 'proven' ? 'text-stamp' : ''}>
                {v.full}: {v.word.toLowerCase()}
              </h3>
              <p className="font-semibold">{v.sentence}</p>
              <p className="q">{say('record.theRuleAsksFor', { asks: v.asks, clock: v.clock })}</p>
              <p className="q">{v.source}.</p>
              {v.cn && <p>{v.cn}</p>}
              <p className="q">{say('record.policy', { policy: v.policy, version: v.version })}</p>
              {v.conditions.length > 0 && (
                <p className="q">
                  {say('record.alsoAskedForNotJudged', {
                    conditions: v.conditions.join('; '),
                  })}
                </p>
              )}
              {v.caution && <p className="q">{v.caution}</p>}
              {v.notes.length > 0 && (
                <ul className="list-disc pl-5">
                  {v.notes.map((n, i) => (
                    <li key={i}>{n}</li>
                  ))}
                </ul>
              )}
            </li>
          ))}
        </ul>
      </Part>
      <Part title={say('record.dataQuality')}>
        <ul className="list-disc pl-5">
          {record.quality.map((x) => (
            <li key={x}>{x}</li>
          ))}
        </ul>
      </Part>
      {record.chart && (
        <Part title={say('record.temperaturesEveryCheckSinceWas')}>
          <HeatChart data={record.chart} />
        </Part>
      )}
      <Part title={say('record.temperatureChecksPointByPoint')}>
        <PrintTable table={record.rounds} label={say('record.temperatureChecksPointByPoint')} />
      </Part>
      <Part title={say('record.workOnTheBatch')}>
        <PrintTable table={record.works} label={say('record.workOnTheBatch')} />
      </Part>
      {record.after && (
        <Part title={say('record.afterTheHeat')}>
          <PrintTable table={record.after} label={say('record.afterTheHeat')} />
        </Part>
      )}
      <Part title={say('record.corrections')}>
        <PrintTable table={record.corrections} label={say('record.corrections')} />
      </Part>
      <Part title={say('terms.thermometers')}>
        <PrintTable table={record.checks} label={say('terms.thermometers')} />
      </Part>
      <Part title={say('record.notCoveredByThisRecord')}>
        <ul className="list-disc pl-5">
          {record.notCovered.map((x) => (
            <li key={x}>{x}</li>
          ))}
        </ul>
      </Part>
      <Part title={say('record.cautions')}>
        <ul className="list-disc pl-5">
          {record.cautions.map((x) => (
            <li key={x}>{x}</li>
          ))}
        </ul>
      </Part>
      {record.again && (
        <Part title={say('record.toCheckItAgain')}>
          <p>
            {say('record.madeFromBatchFile', { fileName: record.again.fileName })}
            {record.again.command && say('record.anyoneWithFileGetsSame')}
          </p>
          {record.again.command && (
            <p className="font-semibold break-all mt-1">{record.again.command}</p>
          )}
          <p className="break-all mt-1">
            {say('record.sha256File', { digest: record.again.digest })}
          </p>
          {record.again.head && (
            <p className="break-all">
              {say('record.theChainLogEntriesIn', { head: record.again.head })}
            </p>
          )}
          {record.again.seal.map((line) => (
            <p key={line} className="break-all">
              {line}
            </p>
          ))}
          {record.again.end && <End end={record.again.end} />}
          {record.again.earlier.map((e) => (
            <div key={e.version} className="mt-2">
              <p>
                {say('record.aRuleWasMetUnder', {
                  version: e.version,
                  fileName: e.fileName,
                })}
              </p>
              <p className="font-semibold break-all mt-1">{e.command}</p>
              <p className="break-all">{say('record.sha256File2', { digest: e.digest })}</p>
            </div>
          ))}
        </Part>
      )}
    </article>
  );
}

/** Where the log ended, in words and as a code. */
const End = ({ end }: { end: LogEnd }) => (
  <div className="mt-1">
    <p>{end.use}</p>
    <p className="font-semibold break-all">{end.text}</p>
    <svg
      viewBox={`0 0 ${end.side} ${end.side}`}
      className="w-32 bg-white"
      role="img"
      aria-label={end.codeName}
      shapeRendering="crispEdges"
    >
      <path d={end.path} fill="#000" />
    </svg>
  </div>
);
