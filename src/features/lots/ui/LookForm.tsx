'use client';
import { say } from '@/messages/say';
import { typedQuantity } from '@/core/quantity/typed-quantity';
import type { Smell, Squeeze } from '@/core/words/feel';
import { CAUTION } from '@/core/words/caution';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { SmellChoice, SqueezeChoice } from './FeelChoices';
import { LitresField, NoteField, refOf, useLotEntry, wordsIn, type LotFormProps } from './parts';

const typedCelsius = (text: string): { c?: number } | null => {
  const c = typedQuantity('celsius', text, -60);
  return c === null ? null : c === undefined ? {} : { c };
};

/** What is typed of a look, and what would be saved. */
function useLook() {
  const [squeeze, setSqueeze] = useTyped<Squeeze | ''>('squeeze', '');
  const [smell, setSmell] = useTyped<Smell | ''>('smell', '');
  const [cover, setCover] = useTyped<'on' | 'off' | ''>('cover', '');
  const [turned, setTurned] = useTyped<'full' | 'partial' | ''>('turned', '');
  const [water, setWater] = useTyped('water', '');
  const [core, setCore] = useTyped('core', '');
  const [air, setAir] = useTyped('air', '');
  const [words, setWords] = useTyped('words', '');
  const [coreC, airC] = [typedCelsius(core), typedCelsius(air)];
  const waterL = typedQuantity('litres', water);
  const data = {
    ...(squeeze ? { squeeze } : {}),
    ...(smell ? { smell } : {}),
    ...(cover ? { cover } : {}),
    ...(turned ? { turned } : {}),
    ...(waterL ? { waterL } : {}),
    ...(coreC?.c === undefined ? {} : { coreC: coreC.c }),
    ...(airC?.c === undefined ? {} : { airC: airC.c }),
    ...wordsIn(words),
  };
  const isWrong = coreC === null || airC === null || waterL === null;
  const missing = isWrong
    ? say('lots.typeNumbers')
    : Object.keys(data).length === 0
      ? say('lots.sayWhatYouSaw')
      : null;
  return {
    ...{ squeeze, setSqueeze, smell, setSmell, cover, setCover, turned, setTurned },
    ...{ water, setWater, core, setCore, air, setAir, words, setWords, data, missing },
  };
}
type Look = ReturnType<typeof useLook>;

/** What hands and nose tell. */
const FeelChoices = ({ l }: { l: Look }) => (
  <>
    <SqueezeChoice value={l.squeeze} onChange={l.setSqueeze} optional />
    <SmellChoice value={l.smell} onChange={l.setSmell} optional />
  </>
);

/** What was found of its cover, and what was done. */
const WorkChoices = ({ l }: { l: Look }) => (
  <>
    <Choices
      label={say('lots.cover')}
      value={l.cover}
      onChange={l.setCover}
      optional
      options={[
        { value: 'on', label: say('lots.coverOn') },
        { value: 'off', label: say('lots.coverOff') },
      ]}
    />
    <Choices
      label={say('lots.turnedIt')}
      value={l.turned}
      onChange={l.setTurned}
      optional
      options={[
        { value: 'full', label: say('lots.fullTurn') },
        { value: 'partial', label: say('log.partialTurn') },
      ]}
    />
  </>
);

/** The weekly look at a lot: moisture, smell, cover, temperatures, what was done. */
export function LookForm({ lot, onDone }: LotFormProps) {
  const entry = useLotEntry('lot-look', lot, onDone);
  const l = useLook();
  return (
    <>
      <p className="caution">{CAUTION.spores}</p>
      <FeelChoices l={l} />
      <WorkChoices l={l} />
      <div className="grid grid-cols-3 gap-3 max-sm:grid-cols-1">
        <LitresField label={say('lots.waterGiven')} value={l.water} onChange={l.setWater} />
        <Field
          label={say('lots.core')}
          unit={`°${lot.unit}`}
          inputMode="decimal"
          value={l.core}
          onChange={(e) => l.setCore(e.target.value)}
        />
        <Field
          label={say('lots.air')}
          unit={`°${lot.unit}`}
          inputMode="decimal"
          value={l.air}
          onChange={(e) => l.setAir(e.target.value)}
        />
      </div>
      <NoteField value={l.words} onChange={l.setWords} />
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={say('lots.saveLook')}
        missing={l.missing}
        onKeep={() => entry.save({ lot: lot.id, ...l.data })}
      />
    </>
  );
}
