'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { Drift } from '@/charts/Drift';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { KeepBar, WhoField } from '@/entry/ui/parts';
import { useEntry, type HeapRef } from '@/entry/ui/useEntry';
import { InstrumentForm } from './InstrumentForm';
import { CheckForm } from './CheckForm';
import { VoidCheckForm } from './VoidCheckForm';
import { AltitudeForm, AirForm } from './SiteAirForms';
import { type InstrumentLine, type Props, temp, day, facts } from './instrumentParts';

/** Thermometers with their checks and how their error moves, and the air: what belongs to the site and not to one heap. */
/** What is done with a thermometer; no line: a new one is described. */
type OpenSheet = {
  readonly kind: 'check' | 'edit' | 'out' | 'back' | 'void';
  readonly line: InstrumentLine | null;
  /** The check that is to be voided. */ readonly check?: InstrumentLine['checks'][number];
};

function titleOf({ kind, line }: OpenSheet): string {
  if (!line) return say('instruments.newThermometer');
  const titles: Readonly<Record<OpenSheet['kind'], string>> = {
    check: say('instruments.check', { name: line.name }),
    edit: say('instruments.detailsOf', { name: line.name }),
    out: say('instruments.takeOutOfService', { name: line.name }),
    back: say('instruments.putBackInService', { name: line.name }),
    void: say('instruments.voidCheckOf', { name: line.name }),
  };
  return titles[kind];
}

export function Instruments({ list, altitudeM, settings, site, now }: Props) {
  const [sheet, setSheet] = useState<OpenSheet | null>(null);
  const close = (): void => setSheet(null);
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(300px,392px)]">
      <section className="px-5 max-sm:px-4 py-4 min-w-0" aria-labelledby="probes-title">
        <div className="flex justify-between items-start gap-3 flex-wrap">
          <h1 id="probes-title">{say('instruments.thermometersAndProbes')}</h1>
          <button
            type="button"
            className="btn key"
            onClick={() => setSheet({ kind: 'edit', line: null })}
          >
            {say('instruments.newThermometer')}
          </button>
        </div>
        <p className="q mt-2 max-w-[640px]">{say('instruments.theOffsetCheckFindsApplied')}</p>
        {list.length === 0 && <p className="mt-5">{say('instruments.noneYetRegisterOneYou')}</p>}
        <ul className="mt-4">
          {list.map((line) => (
            <li key={line.name} className="ruled py-3 flex flex-col gap-2">
              <div className="flex justify-between gap-3 flex-wrap">
                <div>
                  <h2>{line.name}</h2>
                  <p className="q text-hint">{facts(line.known)}</p>
                </div>
                <div className="flex gap-2 flex-wrap">
                  <button
                    type="button"
                    className="btn"
                    onClick={() => setSheet({ kind: 'check', line })}
                  >
                    {say('instruments.checkIt')}
                  </button>
                  <button
                    type="button"
                    className="btn"
                    onClick={() => setSheet({ kind: 'edit', line })}
                  >
                    {line.known ? say('instruments.change') : say('instruments.addDetails')}
                  </button>
                  {line.known &&
                    (line.known.out === undefined ? (
                      <button
                        type="button"
                        className="btn"
                        onClick={() => setSheet({ kind: 'out', line })}
                      >
                        {say('instruments.takeOutOfService2')}
                      </button>
                    ) : (
                      <button
                        type="button"
                        className="btn"
                        onClick={() => setSheet({ kind: 'back', line })}
                      >
                        {say('instruments.putBackInService2')}
                      </button>
                    ))}
                </div>
              </div>
              {line.known?.out !== undefined && (
                <p>
                  <b className="marked">
                    {say('instruments.outOfService', { out: line.known.out })}
                  </b>
                </p>
              )}
              <p>
                {line.due === null ? (
                  <b className="marked">{say('instruments.neverChecked')}</b>
                ) : line.due.late ? (
                  <b className="marked">
                    {say('instruments.dueForCheckSince', { due: line.due.text })}
                  </b>
                ) : (
                  <>{say('instruments.nextCheckBy', { due: line.due.text })}</>
                )}
                {line.checks[0]?.off && (
                  <>
                    {' '}
                    <b className="marked">{say('instruments.theLastCheckWasOutside')}</b>
                  </>
                )}
              </p>
              {line.drift.length > 0 && (
                <div>
                  <p className="q text-note">
                    {say('instruments.offsetAddedReadingsInIce', {
                      unit: `°${site.unit}`,
                      some: line.drift.some((d) => !d.single) ? 'at60' : 'other',
                    })}
                  </p>
                  <Drift
                    dots={line.drift}
                    accuracyK={line.known?.accuracyK ?? 1}
                    from={now - 120 * 86_400_000}
                    to={now}
                    unit={site.unit}
                    label={day}
                  />
                </div>
              )}
              {line.checks.length > 0 && (
                <details>
                  <summary className="link text-small min-h-[36px] flex items-center">
                    {say('instruments.checks', { checks: line.checks.length })}
                  </summary>
                  <ul className="q text-hint">
                    {line.checks.map((c) => (
                      <li key={c.entry}>
                        {say('instruments.readAtOutofOutsideAccuracy', {
                          when: c.when,
                          readC: temp(c.readC, line.known?.unit ?? site.unit),
                          referenceC: temp(c.referenceC, line.known?.unit ?? site.unit),
                          off: c.off ? 'outOf' : 'other',
                        })}{' '}
                        <button
                          type="button"
                          className="link min-h-[36px] pointer-coarse:min-h-target"
                          onClick={() => setSheet({ kind: 'void', line, check: c })}
                        >
                          {say('instruments.voidThisCheck')}
                        </button>
                      </li>
                    ))}
                  </ul>
                </details>
              )}
            </li>
          ))}
        </ul>
      </section>
      <aside
        className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 max-sm:px-4 py-4 flex flex-col gap-7"
        aria-label={say('instruments.altitudeAndAir')}
      >
        <AltitudeForm key={altitudeM} settings={settings} site={site} />
        <AirForm site={site} />
      </aside>
      <Sheet
        open={sheet !== null}
        onOpenChange={(o) => {
          if (!o) close();
        }}
        title={sheet ? titleOf(sheet) : ''}
      >
        {sheet && (
          <DraftScope
            name={`thermometer ${sheet.line?.name ?? 'new'} ${sheet.kind} ${sheet.check?.entry ?? ''}`}
          >
            {sheet.kind === 'check' && (
              <CheckForm line={sheet.line!} altitudeM={altitudeM} site={site} onDone={close} />
            )}
            {sheet.kind === 'edit' && (
              <InstrumentForm
                line={sheet.line}
                names={list.map((l) => l.name)}
                site={site}
                onDone={close}
              />
            )}
            {sheet.kind === 'void' && sheet.check && (
              <VoidCheckForm line={sheet.line!} check={sheet.check} site={site} onDone={close} />
            )}
            {sheet.kind === 'out' && <OutForm line={sheet.line!} site={site} onDone={close} />}
            {sheet.kind === 'back' && sheet.line?.known && (
              <BackForm known={sheet.line.known} site={site} onDone={close} />
            )}
          </DraftScope>
        )}
      </Sheet>
    </div>
  );
}

function OutForm({
  line,
  site,
  onDone,
}: {
  line: InstrumentLine;
  site: HeapRef;
  onDone: () => void;
}) {
  const [why, setWhy] = useTyped('why', '');
  const entry = useEntry('instrument', { ...site, id: '', name: line.name }, onDone);
  return (
    <>
      <Field
        label={say('instruments.why')}
        value={why}
        onChange={(e) => setWhy(e.target.value)}
        maxLength={200}
        hint={say('instruments.itNoLongerOfferedFor')}
      />
      <WhoField entry={entry} />
      <KeepBar
        entry={entry}
        label={say('instruments.takeOutOfService', { name: line.name })}
        missing={why.trim() === '' ? say('instruments.sayWhy') : null}
        onKeep={() => entry.save({ instrument: { ...line.known, out: why.trim() } })}
      />
    </>
  );
}

/** Rounds offer it again; why it was out stays in the log. */
function BackForm({
  known: { out, ...rest },
  site,
  onDone,
}: {
  known: NonNullable<InstrumentLine['known']>;
  site: HeapRef;
  onDone: () => void;
}) {
  const entry = useEntry('instrument', { ...site, id: '', name: rest.name }, onDone);
  return (
    <>
      <p className="hint">
        {say('instruments.itWasOutService')} {out}
        {say('instruments.itOfferedForTemperaturesAgain')}
      </p>
      <WhoField entry={entry} />
      <KeepBar
        entry={entry}
        label={say('instruments.putBackInService', { name: rest.name })}
        onKeep={() => entry.save({ instrument: rest })}
      />
    </>
  );
}
