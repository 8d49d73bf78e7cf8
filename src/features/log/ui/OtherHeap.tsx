'use client';
import { say } from '@/messages/say';
import { useId } from 'react';
import { positionText } from '@/core/words/position';
import { volumeText } from '@/core/quantity/format';
import type { PlacedHeap } from '@/entry/placed';
import type { HeapRef } from '@/entry/ui/useEntry';

export const others = (heap: HeapRef): readonly PlacedHeap[] =>
  (heap.placed ?? []).filter((h) => h.id !== heap.id);

export function OtherHeap({
  label,
  heap,
  value,
  onChange,
  elsewhere,
}: {
  label: string;
  heap: HeapRef;
  value: string;
  onChange: (id: string) => void;
  /** What else may be chosen: a heap that is not kept here. */ elsewhere?: {
    readonly value: string;
    readonly label: string;
  };
}) {
  const id = useId();
  return (
    <div>
      <label className="label" htmlFor={id}>
        {label}
      </label>
      <select id={id} className="field" value={value} onChange={(e) => onChange(e.target.value)}>
        <option value="">{say('log.chooseABatch')}</option>
        {others(heap).map((h) => (
          <option key={h.id} value={h.id}>
            {[h.name, positionText(h.position), h.m3 === null ? '' : volumeText(h.m3)]
              .filter(Boolean)
              .join(', ')}
          </option>
        ))}
        {elsewhere && <option value={elsewhere.value}>{elsewhere.label}</option>}
      </select>
    </div>
  );
}
