'use client';
import { upperFirst } from '@/core/quantity/format';
import { HotSection } from '@/charts/HotSection';
import { useState } from 'react';
import { Disclosure } from '@/ui/Disclosure';
import { LoadedDisclosure } from '@/ui/LoadedDisclosure';
import type { BeyondView } from '../beyond';
import type { gradeView, strictnessView } from '../judged';

const cell = 'py-1 pr-4 align-top';

/** How the verdict hangs on the policy: it teaches why evidence is thin. */
export function Strictness({ batch, version }: { batch: string; version: string }) {
  const [open, setOpen] = useState(false);
  return (
    <LoadedDisclosure
      summary="Judged more and less strictly"
      href={`/api/batch/${batch}/strictness`}
      read={(answer) => answer as StrictnessTable}
      version={version}
      open={open}
      onToggle={setOpen}
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
        {table.title}, on the same readings. Where the answer changes with the way of judging, the
        evidence is thin: more points and more rounds would settle it.
      </p>
      <div
        className="overflow-x-auto mt-2"
        tabIndex={0}
        role="group"
        aria-label="The verdict under other policies"
      >
        <table className="text-small border-collapse min-w-[560px]">
          <thead>
            <tr className="text-left border-b-[1.6px] border-ink">
              <th className={cell}>Counted in</th>
              <th className={cell}>Coldest point</th>
              <th className={cell}>Median</th>
              <th className={cell}>Mean</th>
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
                      {c.own && <span className="sr-only"> (the policy in force)</span>}
                    </span>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="hint mt-1">Framed: the policy in force.</p>
    </>
  );
}

/** How good the evidence is, in words, with what would raise it. */
export function GradeLine({ grade }: { grade: NonNullable<ReturnType<typeof gradeView>> }) {
  return (
    <Disclosure summary={`How good the evidence is: ${grade.word.toLowerCase()}`}>
      <p className="text-small max-w-[70ch]">
        Apart from what it says. The weakest part weighs most.
      </p>
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
    </Disclosure>
  );
}

/** The heap cut open, with what can be said of its hot part, and why no more. */
function HotPart({ b: { hot, section, sectionWhen, floor, turnings } }: { b: BeyondView }) {
  const title =
    hot.code === 'told'
      ? `${hot.share} of its volume at ${floor} or more${sectionWhen ? `, ${sectionWhen}` : ''}`
      : hot.code === 'wide'
        ? 'cannot be told'
        : 'not known';
  return (
    <section className="md:col-span-2 border-t border-rule pt-2">
      <h3>Hot part of the heap: {title}</h3>
      {!section && (
        <p>
          It takes a full check with the depth of at least one place, an air temperature, the heap’s
          shape, and the depth of its core.
        </p>
      )}
      {section && (
        <div className="grid sm:grid-cols-[minmax(0,430px)_1fr] gap-x-6 gap-y-2 items-center">
          <HotSection data={section} />
          <div>
            {hot.code === 'wide' && (
              <p>
                Nobody read nearer to the surface than {hot.shallowest}, and the outer shell holds
                much of the volume: the share may be anything from {hot.share}. One more place at
                about {hot.tryAt} would tell most.
              </p>
            )}
            {hot.code === 'told' && (
              <>
                <p>
                  Worked out from the coldest value of each depth. Above the shallowest place nobody
                  read: the lesser figure takes it to fall to the air at the surface, the greater
                  one to stay as warm. The dashed line is {floor}.
                </p>
                <p className="mt-2">
                  After {turnings}, {hot.never} was never in the hot part, if each turning mixes at
                  random. Turning the outside in does better than that.
                </p>
                <p className="mt-2">
                  Expected to survive, worked out the same way: {hot.germsLeft} of the germs,{' '}
                  {hot.seedsLeft} of hard seeds. One dose is taken for 99.9 % of germs and 99 % of
                  seeds (common practice; mixing after Haug, 1993, from memory).
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
  const [open, setOpen] = useState(false);
  return (
    <LoadedDisclosure
      summary="Beyond the rule: how far the heat went"
      href={`/api/batch/${batch}/beyond`}
      read={(answer) => answer as BeyondView}
      version={version}
      open={open}
      onToggle={setOpen}
    >
      {(b) => <BeyondFigures b={b} />}
    </LoadedDisclosure>
  );
}

function BeyondFigures({ b }: { b: BeyondView }) {
  return (
    <>
      <p className="text-small font-semibold">
        Information, not compliance. No rule asks for these figures.
      </p>
      <div className="grid md:grid-cols-2 gap-x-8 gap-y-4 mt-2 text-small">
        <section>
          <h3>Germs: dose {b.pathogen}</h3>
          <p>
            1 is the time at temperature that 40 CFR 503.32(a)(3) asks for, once, for sludge of 7 %
            solids or more (from memory). Hotter hours count for much more: at 60 °C half a day is
            enough, at 70 °C half an hour.
          </p>
        </section>
        <section>
          <h3>Weed seeds: dose {b.seed}</h3>
          <p>
            1 is the usual time for a hard seed in moist compost: a week at 54.4 °C, or three hours
            at 60 °C (common practice). {b.moisture}
          </p>
          <details className="mt-1">
            <summary className="link min-h-target flex items-center">By kind of seed</summary>
            <table className="border-collapse w-full">
              <thead>
                <tr className="text-left border-b-[1.6px] border-ink">
                  <th className={cell}>Seed, moist</th>
                  <th className={cell}>Dose</th>
                  <th className={cell}>Where the line comes from</th>
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
            <b className="font-semibold">Not known</b> is not none: it takes two full checks in a
            row that were hot, no further apart than the site allows.
          </p>
        )}
        <HotPart b={b} />
      </div>
    </>
  );
}
