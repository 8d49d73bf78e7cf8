import { b } from '@/messages/marked';
import { Marked } from '@/ui/Marked';
import { say, sayMarked } from '@/messages/say';
import { lowerFirst, upperFirst } from '@/core/quantity/format';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { Mark } from '@/charts/marks';
import { SizeLine } from '@/charts/SizeLine';
import { HotChoices } from '@/entry/ui/HotChoices';
import { Disclosure, GroupedDisclosure } from '@/ui/Disclosure';
import type { AdviceView } from '../advice';

/** Danger, before anything else of the page: what to do, what never to do, and whom to call. In a form of its own. */
export function Danger({ a, name, className }: { a: AdviceView; name: string; className: string }) {
  const { hot, next } = a;
  if (!hot?.urgent) return null;
  return (
    <section
      aria-label={say('batch.danger')}
      className={`danger pl-7 pr-4 py-3 ${className}`}
      data-testid="danger"
      data-says={a.nextSays}
    >
      <h2 className="flex gap-2 items-center">
        <Mark name={next.mark} size={24} />
        {name}: {lowerFirst(next.act)}
      </h2>
      <HotChoices hot={hot} />
      <p className="mt-1">
        <Link prefetch={false} className="link min-h-target inline-flex items-center" href="/fire">
          {say('batch.firePlan')}
        </Link>
      </p>
    </section>
  );
}

/** What to do next, with its reasons. On a phone it stands above the buttons, on a laptop at the side. */
export function Todo({
  a,
  age,
  actions,
  className,
}: {
  a: AdviceView;
  age: string | null;
  /** To put it off. */ actions: ReactNode;
  className: string;
}) {
  const { next, turn, hot } = a;
  const turning = next.mark === 'turn' && !hot?.urgent && turn;
  return (
    <section aria-label={say('batch.whatToDoNext')} className={className} data-testid="todo">
      {hot?.urgent ? null : (
        <h2 className="flex gap-2 items-center" data-says={a.nextSays}>
          <Mark name={next.mark} size={22} />
          <span className={next.urgent ? 'marked' : ''}>{next.act}</span>
        </h2>
      )}
      {hot?.urgent ? null : turning ? (
        <Reasons turn={turning} />
      ) : (
        <p className="mt-1.5">{next.why}</p>
      )}
      {next.caution && !hot?.urgent && <p className="caution mt-2">{next.caution}</p>}
      {a.order && <p className="mt-1.5 font-semibold">{a.order}</p>}
      <div className="mt-1 flex flex-wrap gap-x-5 items-center">{actions}</div>
      {a.others.length > 0 && (
        <ul className="mt-1.5 text-small" data-testid="other-acts">
          {a.others.map((x) => (
            <li key={x.kind} data-says={x.says}>
              {x.text}
            </li>
          ))}
        </ul>
      )}
      {age && <p className="q text-note mt-1.5">{age}</p>}
      {a.course && (
        <p className="text-small mt-1.5" data-testid="course" data-says={a.courseSays}>
          {a.course}
        </p>
      )}
      {turn && !turning && !hot?.urgent && (
        <p className="text-small mt-1.5">
          <b>{turn.heading}.</b> {turn.reasons[0]}
        </p>
      )}
      {turn && turn.voices.length > 0 && !hot?.urgent && (
        <details className="mt-1">
          <summary className="link text-small min-h-target flex items-center cursor-pointer">
            {say('batch.otherViewsOnTurning')}
          </summary>
          <p className="text-hint mb-1">
            {turn.trigger === null ? (
              say('batch.methodIsNotTurned', { method: a.method })
            ) : (
              <>
                {say('batch.itsMainReasonTurn', { method: a.method })} <b>{turn.trigger}</b>.
              </>
            )}
          </p>
          <ul className="text-hint leading-[1.35] flex flex-col gap-1">
            {turn.voices.map((v) => (
              <li key={v.school}>
                <b className="font-semibold">{upperFirst(v.school)}</b>: {v.text}
              </li>
            ))}
          </ul>
        </details>
      )}
      {a.water?.now && (
        <div className="mt-2 border-t border-rule pt-1.5 text-small" data-testid="water-advice">
          <h3 className="!text-control flex gap-1.5 items-center">
            <Mark name="water" size={18} />
            {a.water.heading}
          </h3>
          <p>
            {a.water.text} {a.water.stop}
          </p>
          {a.water.heat && <p className="q">{a.water.heat}</p>}
          {a.water.hints.map((h) => (
            <p key={h} className="q">
              {h}
            </p>
          ))}
        </div>
      )}
    </section>
  );
}

function Reasons({ turn }: { turn: NonNullable<AdviceView['turn']> }) {
  return (
    <>
      {turn.window && <p className="mt-1 font-semibold text-small">{upperFirst(turn.window)}.</p>}
      <ul className="mt-1.5 flex flex-col gap-1.5">
        {turn.reasons.map((r) => (
          <li key={r} className="flex gap-2">
            <span aria-hidden="true">–</span>
            <span>{r}</span>
          </li>
        ))}
      </ul>
      {turn.waiting && (
        <p className="mt-1.5">
          <b>{say('batch.ifYouWait')}</b> {turn.waiting}
        </p>
      )}
      <p className="q text-note mt-1">{say('batch.takeTemperaturesFirstAgainSame')}</p>
    </>
  );
}

/** What may be behind a symptom, the likeliest first: what speaks for it, what against, what would help. */
const Causes = ({ causes }: { causes: AdviceView['diagnoses'][number]['causes'] }) => (
  <ol className="flex flex-col">
    {causes.map((c, i) => (
      <li
        key={c.code}
        className={`grid sm:grid-cols-[200px_1fr_200px] gap-x-4 gap-y-0.5 py-1.5 border-b border-rule last:border-b-0 text-small leading-[1.35] ${i > 0 && c.for.length === 0 ? 'text-ink-2' : ''}`}
      >
        <b className="font-semibold">
          {i + 1}. {c.cause}
        </b>
        <span>
          {c.for.length > 0 && <>{say('batch.for', { for: c.for.join('; ') })} </>}
          {c.against.length > 0 && <>{say('batch.against', { against: c.against.join('; ') })} </>}
          {c.unknown.length > 0 && (
            <span className="q">{say('batch.notKnown3', { unknown: c.unknown.join('; ') })}</span>
          )}
          {c.for.length + c.against.length + c.unknown.length === 0 && (
            <span className="q">{say('batch.nothingLoggedSpeaksForOr')}</span>
          )}
        </span>
        <span>{c.fix}</span>
      </li>
    ))}
  </ol>
);

/** What was changed, and what the temperature did after it. */
const Trials = ({ trials }: { trials: AdviceView['trials'] }) => (
  <ul className="flex flex-col" data-testid="trials">
    {trials.map((t) => (
      <li
        key={t.when + t.what}
        className="grid sm:grid-cols-[130px_200px_1fr] gap-x-4 py-1 text-small border-b border-rule last:border-b-0"
      >
        <span className="q">{t.when}</span>
        <b className="font-semibold">{upperFirst(t.what)}</b>
        <span>{t.text}</span>
      </li>
    ))}
  </ul>
);

/** What may be wrong, why, and what came of what was changed. */
export function Diagnoses({ a }: { a: AdviceView }) {
  if (a.diagnoses.length === 0 && a.trials.length === 0) return null;
  return (
    <Disclosure
      open={a.diagnoses.length > 0}
      summary={
        a.diagnoses.length > 0
          ? say('batch.whyAndWhatHelps', {
              diagnoses: a.diagnoses
                .map((d, i) =>
                  i === 0 ? d.symptom : d.symptom.charAt(0).toLowerCase() + d.symptom.slice(1),
                )
                .join('; '),
            })
          : say('batch.whatWasChangedWhatHappened')
      }
    >
      {a.diagnoses.map((d) => (
        <div key={d.code} className="mb-3" data-testid="diagnosis" data-symptom={d.code}>
          {a.diagnoses.length > 1 && <h3 className="!text-control">{d.symptom}</h3>}
          <Causes causes={d.causes} />
          <p className="q text-hint mt-1">
            <Marked
              text={sayMarked('batch.changeOneThingAtTime', { form: say('batch.otherChange'), b })}
            />
          </p>
        </div>
      ))}
      {a.trials.length > 0 && <Trials trials={a.trials} />}
    </Disclosure>
  );
}

export function Rebounds({ a }: { a: AdviceView }) {
  if (a.rebounds.length === 0) return null;
  return (
    <GroupedDisclosure name="turnings" summary={say('batch.whatEachTurningDidTemperature')}>
      <div className="relative overflow-x-auto">
        <table className="text-small w-full">
          <thead>
            <tr>
              {[
                say('batch.turning'),
                say('batch.before'),
                say('batch.lowestAfter'),
                say('batch.highestWithin5Days'),
                say('batch.timeItTook'),
                say('batch.counts'),
              ].map((h) => (
                <th
                  key={h}
                  scope="col"
                  className="text-left font-semibold pr-4 py-1 border-b border-rule-2"
                >
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {a.rebounds.map((r) => (
              <tr key={r.n}>
                <th scope="row" className="text-left font-normal pr-4 py-1">
                  {r.n}, {r.when}
                </th>
                <td className="pr-4">{r.before}</td>
                <td className="pr-4">{r.low}</td>
                <td className="pr-4">{r.high}</td>
                <td className="pr-4">{r.took}</td>
                <td>{r.counts}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="hint mt-1">{say('batch.hottestPointAtEachCheck')}</p>
    </GroupedDisclosure>
  );
}

export function SizeAdvice({ a }: { a: AdviceView }) {
  const { size } = a;
  return (
    <GroupedDisclosure
      name="size"
      initially={size.small !== null || size.partners.length > 0}
      summary={
        size.now === null
          ? say('batch.itsSizeNotKnown')
          : say('batch.nowIssinceShrunk', {
              now: size.now,
              isSince: size.isSince ? say('batch.on', { isSince: size.isSince }) : say('batch.now'),
              shrunk: size.shrunk ? `, ${size.shrunk}` : '',
            })
      }
    >
      {size.small && (
        <p className="font-semibold" data-testid="too-small">
          {size.small}
        </p>
      )}
      {size.partners.map((p) => (
        <p key={p.id} className="text-small">
          <Link prefetch={false} className="link" href={`/batch/${p.id}`}>
            {p.text}
          </Link>
        </p>
      ))}
      {size.points.length > 1 && <SizeLine points={size.points} />}
      {size.points.length > 0 && (
        <ul className="text-small mt-1">
          {size.points.map((p) => (
            <li key={`${p.at} ${p.how}`}>
              {p.when}: {p.text}, {p.how}
            </li>
          ))}
        </ul>
      )}
      {size.assumed.map((text) => (
        <p key={text} className="text-small">
          {text}
        </p>
      ))}
      <p className="hint mt-1">
        <Marked
          text={sayMarked('batch.itsLevelReadDuringTemperature', {
            form: say('batch.moveJoinSplit'),
            b,
          })}
        />
      </p>
    </GroupedDisclosure>
  );
}
