'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import { BeforeSaving } from '@/entry/ui/BeforeSaving';
import { useTyped } from '@/ui/draft';
import { Choices } from '@/ui/Choices';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry, type HeapRef } from '@/entry/ui/useEntry';
import { OtherHeap } from './OtherHeap';

/** What is lost where a batch that has met no rule comes to lie on one that has; null: nothing. */
function rawAboveMet(heap: HeapRef, other: string, layer: 'upper' | 'lower' | ''): string | null {
  const [own, its] = [heap.id, other].map((id) => heap.placed?.find((h) => h.id === id));
  if (!own || !its || layer === '') return null;
  const [upper, lower] = layer === 'upper' ? [own, its] : [its, own];
  const isLost = lower.met.some((rule) => !upper.met.includes(rule));
  return isLost ? say('log.rawAboveMet', { lower: lower.name, upper: upper.name }) : null;
}

/** One heap on top of another in the same place: two histories, told apart by depth. */
export function StackForm({ heap, onDone }: FormProps) {
  const entry = useEntry('stack', heap, onDone);
  const [other, setOther] = useTyped('other', '');
  const [layer, setLayer] = useTyped<'upper' | 'lower' | ''>('layer', '');
  const [known, setKnown] = useState(false);
  const doubt = rawAboveMet(heap, other, layer);
  const data = other !== '' && layer !== '' ? { with: other, layer } : null;
  return (
    <>
      <OtherHeap label={say('log.whichOtherBatch')} heap={heap} value={other} onChange={setOther} />
      <Choices
        label={say('log.is', { name: heap.name })}
        value={layer}
        onChange={setLayer}
        options={[
          { value: 'upper', label: say('log.onTop') },
          { value: 'lower', label: say('log.below') },
        ]}
      />
      <p className="hint">{say('log.putCardboardBetweenThemSet')}</p>
      {doubt && <BeforeSaving text={doubt} known={known} onKnown={setKnown} testId="raw-above" />}
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label={say('log.save')}
        missing={
          data !== null
            ? doubt && !known
              ? say('entry.tickToPutIn')
              : null
            : other === ''
              ? say('log.chooseTheOtherBatch')
              : say('log.chooseWhetherOnTopOr')
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}
