'use client';
import { say } from '@/messages/say';
import { typedQuantity } from '@/core/quantity/typed-quantity';
import { SMELLS, SQUEEZES } from '@/core/log/entry';
import { SMELL_WORDS, SQUEEZE_WORDS, type Smell, type Squeeze } from '@/core/words/feel';
import { CAUTION } from '@/core/words/caution';
import { KeepBar, WhenAndWho } from '@/entry/ui/parts';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { LitresField, NoteField, refOf, useLotEntry, wordsIn, type LotFormProps } from './parts';

const typedCelsius = (text: string): { c?: number } | null => {
  const c = typedQuantity('celsius', text, -60);
  return c === null ? null : c === undefined ? {} : { c };
};

/** The weekly look at a lot: moisture, smell, cover, temperatures, what was done. */
export function LookForm({ lot, onDone }: LotFormProps) {
  const entry = useLotEntry('lot-look', lot, onDone);
  const [squeeze, setSqueeze] = useTyped<Squeeze | ''>('squeeze', '');
  const [smell, setSmell] = useTyped<Smell | ''>('smell', '');
  const [cover, setCover] = useTyped<'on' | 'off' | ''>('cover', '');
  const [turned, setTurned] = useTyped<'full' | 'partial' | ''>('turned', '');
  const [water, setWater] = useTyped('water', '');
  const [core, setCore] = useTyped('core', '');
  const [air, setAir] = useTyped('air', '');
  const [words, setWords] = useTyped('words', '');
  const [coreC, airC, waterL] = [
    typedCelsius(core),
    typedCelsius(air),
    typedQuantity('litres', water),
  ];
  const data = {
    lot: lot.id,
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
  return (
    <>
      <p className="caution">{CAUTION.spores}</p>
      <Choices
        label={say('lots.squeeze')}
        value={squeeze}
        onChange={setSqueeze}
        columns={4}
        optional
        options={SQUEEZES.map((value) => ({
          value,
          label: SQUEEZE_WORDS[value].word,
          hint: SQUEEZE_WORDS[value].means,
        }))}
      />
      <Choices
        label={say('lots.smell')}
        value={smell}
        onChange={setSmell}
        columns={4}
        optional
        options={SMELLS.map((value) => ({ value, label: SMELL_WORDS[value] }))}
      />
      <Choices
        label={say('lots.cover')}
        value={cover}
        onChange={setCover}
        optional
        options={[
          { value: 'on', label: say('lots.coverOn') },
          { value: 'off', label: say('lots.coverOff') },
        ]}
      />
      <Choices
        label={say('lots.turnedIt')}
        value={turned}
        onChange={setTurned}
        optional
        options={[
          { value: 'full', label: say('lots.fullTurn') },
          { value: 'partial', label: say('lots.partialTurn') },
        ]}
      />
      <div className="grid grid-cols-3 gap-3 max-sm:grid-cols-1">
        <LitresField label={say('lots.waterGiven')} value={water} onChange={setWater} />
        <Field
          label={say('lots.core')}
          unit={`°${lot.unit}`}
          inputMode="decimal"
          value={core}
          onChange={(e) => setCore(e.target.value)}
        />
        <Field
          label={say('lots.air')}
          unit={`°${lot.unit}`}
          inputMode="decimal"
          value={air}
          onChange={(e) => setAir(e.target.value)}
        />
      </div>
      <NoteField value={words} onChange={setWords} />
      <WhenAndWho entry={entry} heap={refOf(lot)} />
      <KeepBar
        entry={entry}
        label={say('lots.saveLook')}
        missing={
          isWrong
            ? say('lots.typeNumbers')
            : Object.keys(data).length === 1
              ? say('lots.sayWhatYouSaw')
              : null
        }
        onKeep={() => entry.save(data)}
      />
    </>
  );
}
