'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { Sheet } from '@/ui/Sheet';
import { KeepBar, WhoField } from '@/entry/ui/parts';
import { useEntry, type HeapRef } from '@/entry/ui/useEntry';
import { InstrumentForm } from './InstrumentForm';
import { CheckForm } from './CheckForm';
import { VoidCheckForm } from './VoidCheckForm';
import { AltitudeForm, AirForm } from './SiteAirForms';
import { InstrumentItem, type OpenSheet } from './InstrumentItem';
import { type InstrumentLine, type Props } from './instrumentParts';

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

/** Thermometers with their checks and how their error moves, and the air: what belongs to the site and not to one heap. */
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
            <InstrumentItem key={line.name} line={line} site={site} now={now} onOpen={setSheet} />
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
          <SheetForm
            sheet={sheet}
            names={list.map((l) => l.name)}
            {...{ altitudeM, site }}
            onDone={close}
          />
        )}
      </Sheet>
    </div>
  );
}

/** The form of what is done with a thermometer. */
function SheetForm({
  sheet,
  names,
  altitudeM,
  site,
  onDone,
}: {
  sheet: OpenSheet;
  names: readonly string[];
  altitudeM: number;
  site: HeapRef;
  onDone: () => void;
}) {
  return (
    <DraftScope
      name={`thermometer ${sheet.line?.name ?? 'new'} ${sheet.kind} ${sheet.check?.entry ?? ''}`}
    >
      {sheet.kind === 'check' && (
        <CheckForm line={sheet.line!} altitudeM={altitudeM} site={site} onDone={onDone} />
      )}
      {sheet.kind === 'edit' && (
        <InstrumentForm line={sheet.line} names={names} site={site} onDone={onDone} />
      )}
      {sheet.kind === 'void' && sheet.check && (
        <VoidCheckForm line={sheet.line!} check={sheet.check} site={site} onDone={onDone} />
      )}
      {sheet.kind === 'out' && <OutForm line={sheet.line!} site={site} onDone={onDone} />}
      {sheet.kind === 'back' && sheet.line?.known && (
        <BackForm known={sheet.line.known} site={site} onDone={onDone} />
      )}
    </DraftScope>
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
