'use client';
import { say } from '@/messages/say';
import { signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { useState } from 'react';
import { useTyped } from '@/ui/draft';
import { v7 } from 'uuid';
import { CAUTION } from '@/core/words/caution';
import { Effects } from '@/ui/Effects';
import { volumeText } from '@/core/quantity/format';
import { Field } from '@/ui/Field';
import { DangerFirst, KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry, useEntryPreview } from '@/entry/ui/useEntry';

/** A part carried off: a heap of its own with this one's past. */
export function SplitForm({ heap, onDone }: FormProps) {
  const entry = useEntry('split', heap, onDone);
  const [child] = useState(() => v7());
  const [code, setCode] = useTyped('code', '');
  const [name, setName] = useTyped('name', '');
  const [bay, setBay] = useTyped('bay', '');
  const [volume, setVolume] = useTyped('volume', '');
  const m3 = typedQuantity('volume', volume, 0.01);
  const own = heap.placed?.find((h) => h.id === heap.id)?.m3 ?? null;
  const problem =
    m3 === null
      ? say('log.typeVolumeAsNumber')
      : m3 !== undefined && own !== null && m3 >= own
        ? say('log.itMustLessThanThis', { own: volumeText(own) })
        : undefined;
  const data =
    code.trim() !== '' && typeof m3 === 'number' && !problem
      ? {
          to: child,
          volumeM3: m3,
          code: code.trim(),
          ...(name.trim() ? { name: name.trim() } : {}),
          ...(bay.trim() ? { bay: bay.trim() } : {}),
        }
      : null;
  const preview = useEntryPreview(entry, data);
  return (
    <>
      <DangerFirst heap={heap} />
      <p className="caution">
        {CAUTION.split} {CAUTION.lift}
      </p>
      <Field
        label={say('log.howMuchWasSplitOff')}
        unit={signOf('volume')}
        inputMode="decimal"
        value={volume}
        onChange={(e) => setVolume(e.target.value)}
        problem={problem}
        hint={own === null ? undefined : say('log.itHasAboutNow', { own: volumeText(own) })}
      />
      <div className="grid grid-cols-[96px_1fr_96px] gap-3">
        <Field
          label={say('log.newCode')}
          value={code}
          maxLength={24}
          onChange={(e) => setCode(e.target.value)}
        />
        <Field
          label={say('log.newName')}
          value={name}
          maxLength={60}
          onChange={(e) => setName(e.target.value)}
        />
        <Field
          label={say('log.bay2')}
          value={bay}
          maxLength={40}
          onChange={(e) => setBay(e.target.value)}
        />
      </div>
      <WhenAndWho entry={entry} heap={heap} />
      <p className="hint">{say('log.bothBatchesHaveWhatWas')}</p>
      {data && <Effects preview={preview} />}
      <KeepBar
        entry={entry}
        label={say('log.saveThisSplit')}
        missing={
          data !== null
            ? null
            : (problem ??
              (typeof m3 !== 'number'
                ? say('log.typeHowMuchWasSplit')
                : say('log.giveNewBatchCode')))
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}
