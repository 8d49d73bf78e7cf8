'use client';
import { useState } from 'react';
import { useTyped } from '@/ui/draft';
import { v7 } from 'uuid';
import { CAUTION } from '@/core/words/caution';
import { Effects } from '@/ui/Effects';
import { volumeText } from '@/core/quantity/format';
import { Field } from '@/ui/Field';
import { DangerFirst, KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { typed } from '@/core/quantity/typed-number';
import { useEntry, useEntryPreview } from '@/entry/ui/useEntry';

/** A part carried off: a heap of its own with this one's past. */
export function SplitForm({ heap, onDone }: FormProps) {
  const entry = useEntry('split', heap, onDone);
  const [child] = useState(() => v7());
  const [code, setCode] = useTyped('code', '');
  const [name, setName] = useTyped('name', '');
  const [bay, setBay] = useTyped('bay', '');
  const [volume, setVolume] = useTyped('volume', '');
  const m3 = typed(volume, 0.01);
  const own = heap.placed?.find((h) => h.id === heap.id)?.m3 ?? null;
  const problem =
    m3 === null
      ? 'Type the volume as a number.'
      : m3 !== undefined && own !== null && m3 >= own
        ? `Less than the ${volumeText(own, 'm3')} that it has: something must stay.`
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
        label="How much was carried off"
        unit="m³"
        inputMode="decimal"
        value={volume}
        onChange={(e) => setVolume(e.target.value)}
        problem={problem}
        hint={own === null ? undefined : `It has about ${volumeText(own, 'm3')} now`}
      />
      <div className="grid grid-cols-[96px_1fr_96px] gap-3">
        <Field
          label="New code"
          value={code}
          maxLength={24}
          onChange={(e) => setCode(e.target.value)}
        />
        <Field
          label="New name"
          value={name}
          maxLength={60}
          onChange={(e) => setName(e.target.value)}
        />
        <Field label="Bay" value={bay} maxLength={40} onChange={(e) => setBay(e.target.value)} />
      </div>
      <WhenAndWho entry={entry} heap={heap} />
      <p className="hint">
        Both heaps keep what was read until now. From now on each earns its proof by its own
        readings: read both.
      </p>
      {data && <Effects preview={preview} />}
      <KeepBar
        entry={entry}
        label="Keep this split"
        missing={
          data !== null
            ? null
            : (problem ??
              (typeof m3 !== 'number'
                ? 'Type how much was carried off.'
                : 'Give the new heap a code.'))
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}
