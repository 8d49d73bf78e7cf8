'use client';
import { say } from '@/messages/say';
import { WETNESS } from '@/core/log/lot-shapes';
import { unaccountedOf } from '@/core/lots/yield';
import { typedQuantity, signOf } from '@/core/quantity/typed-quantity';
import { typed } from '@/core/quantity/typed-number';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import {
  HowMuch,
  LitresField,
  NoteField,
  refOf,
  LotTargetFields,
  useHowMuch,
  useLotEntry,
  useTarget,
  wordsIn,
  type LotFormProps,
} from './parts';

/** A run of the screen: what went in, through which mesh, what came out as fines, overs and rejects. */
export function ScreenForm({ lot, onDone }: LotFormProps) {
  const entry = useLotEntry('screening', lot, onDone);
  const much = useHowMuch();
  const run = useRun(lot);
  const litresIn = much.typed ?? (much.how === 'all' ? lot.litres : null);
  const lost = unaccountedOf(litresIn, run.litresOut);
  return (
    <>
      <Choices
        label={say('lots.wetnessFirst')}
        value={run.wetness}
        onChange={run.setWetness}
        columns={3}
        options={WETNESS.map((value) => ({
          value,
          label: say('lots.wetness', { wetness: value }),
        }))}
      />
      {run.wetness === 'wet' && (
        <p className="marked font-semibold">{say('lots.wetDoesNotFall')}</p>
      )}
      <p className="caution">
        {say('lots.screenCaution', { dry: run.wetness === 'dry' ? 'yes' : 'no' })}
      </p>
      <HowMuch much={much} label={say('log.howMuchOfIt')} />
      <RunFields run={run} lot={lot} />
      {lost !== null && (
        <p className={lost.asks ? 'marked font-semibold' : 'hint'} data-testid="unaccounted">
          {say('lots.unaccounted', {
            percent: Math.round(lost.share * 100),
            way: !lost.asks ? 'some' : lost.share < 0 ? 'more' : 'much',
          })}
        </p>
      )}
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={say('lots.saveScreening')}
        missing={run.missing ?? much.problem ?? (much.data ? null : say('lots.sayHowMuch'))}
        onKeep={() => entry.save({ inputs: [{ lot: lot.id, ...much.data }], ...run.data })}
      />
    </>
  );
}

const lotsOfKind = (lot: LotFormProps['lot'], kind: 'fines' | 'overs') =>
  lot.targets.filter((t) => t.kind === kind && t.id !== lot.id);
/** One output of a run: where it goes, and how much. */
const outputOf = (to: ReturnType<typeof useTarget>, litres: number | null | undefined) =>
  to.data
    ? [
        {
          lot: to.data.to,
          ...('begin' in to.data ? { begin: to.data.begin } : {}),
          ...(litres ? { litres } : {}),
        },
      ]
    : [];

/** What a run gave, as it is typed. */
function useOutputs(lot: LotFormProps['lot']) {
  const [fines, setFines] = useTyped('fines', '');
  const [overs, setOvers] = useTyped('overs', '');
  const [rejects, setRejects] = useTyped('rejects', '');
  const finesTo = useTarget('fines', { targets: lotsOfKind(lot, 'fines') }, 'fines-to');
  const oversTo = useTarget('overs', { targets: lotsOfKind(lot, 'overs') }, 'overs-to');
  const [finesL, oversL, rejectsL] = [fines, overs, rejects].map((t) => typedQuantity('litres', t));
  const missing = !finesTo.data
    ? say('lots.giveFinesACode')
    : oversL && !oversTo.data
      ? say('lots.giveOversACode')
      : null;
  return {
    ...{ fines, setFines, overs, setOvers, rejects, setRejects, finesTo, oversTo, missing },
    isWrong: [finesL, oversL, rejectsL].includes(null),
    litresOut: finesL && oversL ? finesL + oversL + (rejectsL ?? 0) : null,
    data: {
      outputs: [...outputOf(finesTo, finesL), ...outputOf(oversTo, oversL)],
      ...(rejectsL ? { rejectsL } : {}),
    },
  };
}

/** Everything of a run but what went in. */
function useRun(lot: LotFormProps['lot']) {
  const [wetness, setWetness] = useTyped<(typeof WETNESS)[number] | ''>('wetness', '');
  const [mesh, setMesh] = useTyped('mesh', '');
  const [hours, setHours] = useTyped('hours', '');
  const [people, setPeople] = useTyped('people', '');
  const [words, setWords] = useTyped('words', '');
  const out = useOutputs(lot);
  const [meshMm, hoursN, peopleN] = [typedQuantity('mm', mesh), typed(hours), typed(people)];
  const missing = (): string | null => {
    if (wetness === '') return say('lots.sayHowWet');
    if (out.isWrong || [meshMm, hoursN, peopleN].includes(null)) return say('lots.typeNumbers');
    return meshMm ? out.missing : say('lots.typeMesh');
  };
  const data = {
    ...{ meshMm, wetness, ...out.data },
    ...(hoursN ? { hours: hoursN } : {}),
    ...(peopleN ? { people: Math.round(peopleN) } : {}),
    ...wordsIn(words),
  };
  return {
    ...{ wetness, setWetness, mesh, setMesh, hours, setHours, people, setPeople, words, setWords },
    ...{ out, litresOut: out.litresOut, data, missing: missing() },
  };
}

function RunFields({ run, lot }: { run: ReturnType<typeof useRun>; lot: LotFormProps['lot'] }) {
  const { out } = run;
  return (
    <>
      <Field
        label={say('lots.mesh')}
        unit={signOf('mm')}
        inputMode="decimal"
        value={run.mesh}
        onChange={(e) => run.setMesh(e.target.value)}
        hint={say('lots.usualMesh')}
      />
      <LotTargetFields
        target={out.finesTo}
        targets={lotsOfKind(lot, 'fines')}
        label={say('lots.finesInto')}
      />
      <LitresField label={say('lots.finesOut')} value={out.fines} onChange={out.setFines} />
      <LotTargetFields
        target={out.oversTo}
        targets={lotsOfKind(lot, 'overs')}
        label={say('lots.oversInto')}
      />
      <LitresField label={say('lots.oversOut')} value={out.overs} onChange={out.setOvers} />
      <div className="grid grid-cols-3 gap-3">
        <LitresField label={say('lots.rejects')} value={out.rejects} onChange={out.setRejects} />
        <Field
          label={say('lots.hours')}
          unit="h"
          inputMode="decimal"
          value={run.hours}
          onChange={(e) => run.setHours(e.target.value)}
        />
        <Field
          label={say('log.people')}
          inputMode="numeric"
          value={run.people}
          onChange={(e) => run.setPeople(e.target.value)}
        />
      </div>
      <NoteField value={run.words} onChange={run.setWords} />
    </>
  );
}
