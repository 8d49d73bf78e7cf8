'use client';
import { say } from '@/messages/say';
import { upperFirst } from '@/core/quantity/format';
import { HotSection } from '@/charts/HotSection';
import { GroupedDisclosure } from '@/ui/Disclosure';
import { LoadedDisclosure } from '@/ui/LoadedDisclosure';
import type { BeyondView } from '../beyond';
import type { gradeView, strictnessView } from '../judged';

const cell = 'py-1 pr-4 align-top';

/** How the verdict hangs on the policy: it teaches why evidence is thin. */
export function Strictness({ batch, version }: { batch: string; version: string }) {
  return (
    <LoadedDisclosure
      summary={say('batch.judgedMoreLessStrictly')}
      href={`/api/batch/${batch}/strictness`}
      read={(answer) => answer as StrictnessTable}
      version={version}
      name="strictness"
    >
      {(table) => <StrictnessCells table={table} />}
    </LoadedDisclosure>
  );
}

type StrictnessTable = NonNullable<ReturnType<typeof strictnessView>>;

function StrictnessCells({ table }: { table: StrictnessTable }) {
  return (
    <>
      <p className="text-small max-w-[70ch]">
        {say('batch.fromSameReadingsWhereAnswer', { title: table.title })}
      </p>
      <div
        className="relative overflow-x-auto mt-2"
        tabIndex={0}
        role="group"
        aria-label={say('batch.theVerdictUnderOtherPolicies')}
      >
        <table className="text-small border-collapse min-w-[560px]">
          <thead>
            <tr className="text-left border-b-[1.6px] border-ink">
              <th className={cell}>{say('batch.countedIn')}</th>
              <th className={cell}>{say('batch.coldestPoint')}</th>
              <th className={cell}>{say('batch.median')}</th>
              <th className={cell}>{say('batch.mean')}</th>
            </tr>
          </thead>
          <tbody>
            {table.rows.map((r) => (
              <tr key={r.name} className="border-b border-rule">
                <th className={`${cell} text-left font-medium`}>{r.name}</th>
                {r.cells.map((c, i) => (
                  <td key={i} className={cell}>
                    <span className={c.own ? 'outline-2 outline-ink outline outline-offset-2' : ''}>
                      <b className={`font-semibold ${c.proven ? 'text-stamp' : ''}`}>{c.word}</b>{' '}
                      <span className="q">{c.text}</span>
                      {c.own && <span className="sr-only"> {say('batch.thePolicyInForce')}</span>}
                    </span>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="hint mt-1">{say('batch.framedPolicyInForce')}</p>
    </>
  );
}

/** How good the evidence is, in words, with what would raise it. */
export function GradeLine({ grade }: { grade: NonNullable<ReturnType<typeof gradeView>> }) {
  return (
    <GroupedDisclosure
      name="quality"
      summary={say('batch.dataQuality', { toLowerCase: grade.word.toLowerCase() })}
    >
      <p className="text-small max-w-[70ch]">{say('batch.apartFromResultWeakestPart')}</p>
      <ul className="text-small mt-1">
        {grade.findings.map((f) => (
          <li key={f.code} className="grid grid-cols-[64px_1fr] gap-2 border-b border-rule py-1">
            <b className="font-semibold">{f.word}</b>
            <span>
              {upperFirst(f.is)}.{f.better && <span className="q"> {f.better}</span>}
            </span>
          </li>
        ))}
      </ul>
    </GroupedDisclosure>
  );
}

/** The heap cut open, with what can be said of its hot part, and why no more. */
function HotPart({ b: { hot, section, sectionWhen, floor, turnings } }: { b: BeyondView }) {
  const title =
    hot.code === 'told'
      ? sectionWhen
        ? say('batch.ofVolumeAtOrMore', { share: hot.share, floor, sectionWhen })
        : say('batch.ofVolumeAtOrMore2', { share: hot.share, floor })
      : hot.code === 'wide'
        ? say('batch.cannotTell')
        : say('batch.notKnown');
  return (
    <section className="md:col-span-2 border-t border-rule pt-2">
      <h3>{say('batch.hotPartPile', { title })}</h3>
      {!section && <p>{say('batch.thisNeedsFullCheckWith')}</p>}
      {section && (
        <div className="grid sm:grid-cols-[minmax(0,430px)_1fr] gap-x-6 gap-y-2 items-center">
          <HotSection data={section} />
          <div>
            {hot.code === 'wide' && (
              <p>
                {say('batch.nothingWasReadNearerSurface', {
                  shallowest: hot.shallowest,
                  share: hot.share,
                  tryAt: hot.tryAt,
                })}
              </p>
            )}
            {hot.code === 'told' && (
              <>
                <p>{say('batch.workedOutFromColdestValue', { floor })}</p>
                <p className="mt-2">
                  {say('batch.afterWasNeverInHot', { turnings, never: hot.never })}
                </p>
                <p className="mt-2">
                  {say('batch.expectedSurvivorsWorkedOutSame', {
                    germsLeft: hot.germsLeft,
                    seedsLeft: hot.seedsLeft,
                  })}
                </p>
              </>
            )}
          </div>
        </div>
      )}
    </section>
  );
}

/** Doses, hot share and survivors: information, labelled as such. */
export function Beyond({ batch, version }: { batch: string; version: string }) {
  return (
    <LoadedDisclosure
      summary={say('batch.howFarTheHeatWent')}
      href={`/api/batch/${batch}/beyond`}
      read={(answer) => answer as BeyondView}
      version={version}
      name="beyond"
    >
      {(b) => <BeyondFigures b={b} />}
    </LoadedDisclosure>
  );
}

function BeyondFigures({ b }: { b: BeyondView }) {
  return (
    <>
      <p className="text-small font-semibold">{say('batch.informationOnlyNoRuleAsks')}</p>
      <div className="grid md:grid-cols-2 gap-x-8 gap-y-4 mt-2 text-small">
        <section>
          <h3>{say('batch.pathogensDose', { pathogen: b.pathogen })}</h3>
          <p>{say('batch.n1TimeAtTemperature40', { warm: 60, hot: 70 })}</p>
        </section>
        <section>
          <h3>{say('batch.weedSeedsDose', { seed: b.seed })}</h3>
          <p>{say('batch.n1UsualTimeForHard', { moisture: b.moisture, week: 54.4, hours: 60 })}</p>
          <details className="mt-1">
            <summary className="link min-h-target flex items-center">
              {say('batch.byKindOfSeed')}
            </summary>
            <table className="border-collapse w-full">
              <thead>
                <tr className="text-left border-b-[1.6px] border-ink">
                  <th className={cell}>{say('batch.seedMoist')}</th>
                  <th className={cell}>{say('batch.dose')}</th>
                  <th className={cell}>{say('batch.sourceOfTheCurve')}</th>
                </tr>
              </thead>
              <tbody>
                {b.species.map((s) => (
                  <tr key={s.id} className="border-b border-rule">
                    <td className={cell}>
                      {s.name}
                      {s.latin && <i className="q block">{s.latin}</i>}
                    </td>
                    <td className={`${cell} whitespace-nowrap`}>{s.dose}</td>
                    <td className={`${cell} q`}>{s.source}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </details>
        </section>
        {b.unknown && (
          <p className="md:col-span-2">
            <b className="font-semibold">{say('batch.notKnown2')}</b> {say('batch.isNotSameAsNone')}
          </p>
        )}
        <HotPart b={b} />
      </div>
    </>
  );
}
