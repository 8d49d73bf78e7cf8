'use client';
import { say } from '@/messages/say';
import { signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { useState } from 'react';
import { BeforeSaving } from '@/entry/ui/BeforeSaving';
import { useTyped } from '@/ui/draft';
import { CAUTION } from '@/core/words/caution';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { Effects } from '@/ui/Effects';
import { DangerFirst, KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry, useEntryPreview } from '@/entry/ui/useEntry';
import { type SeedAnswer, seedsOf, SeedChoice } from './SeedChoice';

type Clean = 'clean' | 'unclean' | '';
/** Whether the water may carry something. */
const CleanChoice = ({ value, onChange }: { value: Clean; onChange: (value: Clean) => void }) => (
  <Choices
    label={say('log.whatWater')}
    value={value}
    onChange={onChange}
    options={[
      { value: 'clean', label: say('log.clean'), hint: say('log.tapRainBarrelWithLid') },
      {
        value: 'unclean',
        label: say('log.notCleanOrIDont'),
        hint: say('log.pondLeachateRinseWater'),
      },
    ]}
  />
);

export function WaterForm({ heap, onDone }: FormProps) {
  const entry = useEntry('water', heap, onDone);
  const [clean, setClean] = useTyped<Clean>('clean', '');
  const [litres, setLitres] = useTyped('litres', '');
  const [known, setKnown] = useState(false);
  const [seeds, setSeeds] = useTyped<SeedAnswer>('seeds', '');
  const amount = typedQuantity('litres', litres);
  const problem = amount === null ? say('bench.typeWaterAsLitersOr') : undefined;
  const data =
    clean === ''
      ? null
      : {
          clean: clean === 'clean',
          ...(clean === 'unclean' ? seedsOf(seeds) : {}),
          ...(amount === undefined ? {} : { litres: amount }),
        };
  const preview = useEntryPreview(entry, problem ? null : data);
  return (
    <>
      <DangerFirst heap={heap} />
      <CleanChoice value={clean} onChange={setClean} />
      {clean === 'unclean' && <SeedChoice value={seeds} onChange={setSeeds} />}
      <Field
        label={say('log.howMuch')}
        unit={signOf('litres')}
        inputMode="decimal"
        value={litres}
        onChange={(e) => setLitres(e.target.value)}
        problem={problem}
        hint={say('log.leaveEmptyIfYouDid')}
      />
      <WhenAndWho entry={entry} heap={heap} />
      {clean === 'unclean' && <p className="caution">{CAUTION.raw}</p>}
      {data && !problem && <Effects preview={preview} />}
      {heap.tooWet && (
        <BeforeSaving text={heap.tooWet} known={known} onKnown={setKnown} testId="too-wet" />
      )}
      <KeepBar
        entry={entry}
        label={say('log.saveThisWatering')}
        missing={
          clean === ''
            ? say('log.chooseKindWater')
            : (problem ?? (heap.tooWet && !known ? say('entry.tickToPutIn') : null))
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}
