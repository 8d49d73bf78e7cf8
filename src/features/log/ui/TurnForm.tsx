'use client';
import { firstOf } from '@/core/quantity/present';
import { say } from '@/messages/say';
import { signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { useState } from 'react';
import { useTyped } from '@/ui/draft';
import { v7 } from 'uuid';
import { CAUTION } from '@/core/words/caution';
import { type Smell, type Squeeze } from '@/core/words/feel';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { Effects } from '@/ui/Effects';
import { typed } from '@/core/quantity/typed-number';
import { DangerFirst, KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { StandingFields, useStanding } from '@/entry/ui/Standing';
import { submitEntry, useEntry, useEntryPreview } from '@/entry/ui/useEntry';
import { smellOptions, squeezeOptions } from './feelOptions';

/** A turning: full, part of it left out, or only stirred: one answer, on a phone and on a laptop alike. What was felt, added or watered while at it is logged with it. */
export function TurnForm({ heap, onDone }: FormProps) {
  const standing = useStanding(heap, heap.placed ?? []);
  const inRow = standing.was !== null && 'row' in standing.was;
  const entry = useEntry('turn', heap, onDone);
  const [how, setHow] = useTyped<'full' | 'part' | 'stir' | ''>('full', '');
  const [read, setRead] = useTyped<'yes' | 'no' | ''>('read', heap.readLately ? 'yes' : '');
  const [minutes, setMinutes] = useTyped('minutes', '');
  const [people, setPeople] = useTyped('people', '');
  const [machine, setMachine] = useTyped<'hand' | 'machine' | ''>('machine', '');
  const [litres, setLitres] = useTyped('litres', '');
  const [squeeze, setSqueeze] = useTyped<Squeeze | ''>('squeeze', '');
  const [smell, setSmell] = useTyped<Smell | ''>('smell', '');
  const [ids] = useState(() => ({ water: v7(), felt: v7() }));
  const [mins, hands, water] = [
    typed(minutes),
    typed(people, 1),
    typedQuantity('litres', litres, 0.1),
  ];
  const data = {
    full: how === 'full',
    ...(how === 'full' ? { rim: 'all' } : how === 'part' ? { rim: 'partly' } : {}),
    ...(read ? { readFirst: read === 'yes' } : {}),
    ...(typeof mins === 'number' ? { minutes: mins } : {}),
    ...(typeof hands === 'number' ? { people: Math.round(hands) } : {}),
    ...(machine ? { machine: machine === 'machine' } : {}),
  };
  const preview = useEntryPreview(entry, how === '' ? null : data);
  // Each turning moves a row along: its flags go with it, and a border is the neighbour's too.
  const after = async (): Promise<void> => {
    const also = [
      ...(typeof water === 'number'
        ? [{ id: ids.water, kind: 'water' as const, data: { clean: true, litres: water } }]
        : []),
      ...(squeeze || smell
        ? [
            {
              id: ids.felt,
              kind: 'observation' as const,
              data: { ...(squeeze ? { squeeze } : {}), ...(smell ? { smell } : {}) },
            },
          ]
        : []),
    ];
    for (const e of also) {
      const kept = await submitEntry(
        { ...e, batch: heap.id, at: entry.at, by: entry.by },
        heap.name,
        e.kind,
      );
      if (!kept.ok) {
        entry.setProblems(kept.problems);
        return;
      }
    }
    const wrong = await standing.keep(entry.by, entry.at);
    if (wrong.length > 0) entry.setProblems(wrong);
    else onDone();
  };
  const wrong = [mins, hands, water].includes(null);
  return (
    <>
      <DangerFirst heap={heap} />
      <p className="caution">
        {CAUTION.steam} {CAUTION.spores}
        {machine === 'machine' ? ` ${CAUTION.machine}` : ''}
      </p>
      <Choices
        label={say('log.wereTemperaturesTakenBeforeWas')}
        value={read}
        onChange={setRead}
        options={[
          {
            value: 'yes',
            label: say('log.yes'),
            hint: heap.readLately
              ? say('log.todaysCheckInLog')
              : say('log.logThoseTemperaturesToo'),
          },
          { value: 'no', label: say('log.no'), hint: say('log.thenEffectCannotShown') },
        ]}
      />
      <Choices
        label={say('log.how')}
        value={how}
        onChange={setHow}
        columns={3}
        options={[
          { value: 'full', label: say('log.fullTurn2'), hint: say('log.edgeInsideTopBottom') },
          { value: 'part', label: say('log.partialTurn'), hint: say('log.partOfEdgeLeftOut') },
          { value: 'stir', label: say('log.stirred'), hint: say('log.doesNotCountForRule') },
        ]}
      />
      <Choices
        optional
        label={say('log.squeezeHandfulFromInside')}
        value={squeeze}
        onChange={setSqueeze}
        columns={4}
        options={squeezeOptions().map(({ value, label }) => ({ value, label }))}
      />
      <Choices
        optional
        label={say('log.smell2')}
        value={smell}
        onChange={setSmell}
        columns={4}
        options={smellOptions()}
      />
      {smell === 'burnt' && <p className="caution">{CAUTION.burnt}</p>}
      <div className="grid grid-cols-3 gap-3">
        <Field
          label={say('log.cleanWater')}
          unit={signOf('litres')}
          inputMode="decimal"
          value={litres}
          onChange={(e) => setLitres(e.target.value)}
        />
        <Field
          label={say('log.time')}
          unit={say('units.minutes')}
          inputMode="numeric"
          value={minutes}
          onChange={(e) => setMinutes(e.target.value)}
        />
        <Field
          label={say('log.people')}
          inputMode="numeric"
          value={people}
          onChange={(e) => setPeople(e.target.value)}
        />
      </div>
      {heap.tooWet && typeof water === 'number' && <p className="caution">{heap.tooWet}</p>}
      {wrong && (
        <p role="alert" className="marked font-semibold">
          {say('log.typeLitersMinutesPeopleAs')}
        </p>
      )}
      <Choices
        optional
        label={say('log.byHandOrByMachine')}
        value={machine}
        onChange={setMachine}
        options={[
          { value: 'hand', label: say('log.byHand') },
          { value: 'machine', label: say('log.byMachine2') },
        ]}
      />
      {inRow ? (
        <>
          <p className="hint">{say('log.whereMarkersNowWindrowMoves')}</p>
          <StandingFields standing={standing} onlyRow />
        </>
      ) : (
        <details>
          <summary className="link min-h-target flex items-center cursor-pointer">
            {say('log.itInAnotherPlaceNow')}
          </summary>
          <StandingFields standing={standing} />
        </details>
      )}
      <WhenAndWho entry={entry} heap={heap} />
      <Effects preview={preview} />
      <p className="hint">{say('log.didSomethingRawGoIn')}</p>
      <KeepBar
        entry={entry}
        label={say('log.saveThisTurning')}
        missing={
          how === ''
            ? say('log.sayHowItWasTurned')
            : wrong
              ? say('log.correctTheFiguresFirst')
              : inRow && standing.problem !== null
                ? standing.problem
                : inRow && standing.effect.overlaps.length > 0
                  ? say('entry.itWouldOverlap', { overlaps: firstOf(standing.effect.overlaps) })
                  : standing.missing
        }
        onKeep={() => entry.save(data, after)}
      />
    </>
  );
}
