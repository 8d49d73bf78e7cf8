'use client';
import { useTyped } from '@/ui/draft';
import { Choices } from '@/ui/Choices';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';
import { OtherHeap } from './OtherHeap';

/** One heap on top of another in the same place: two histories, told apart by depth. */
export function StackForm({ heap, onDone }: FormProps) {
  const entry = useEntry('stack', heap, onDone);
  const [other, setOther] = useTyped('other', '');
  const [layer, setLayer] = useTyped<'upper' | 'lower' | ''>('layer', '');
  const data = other !== '' && layer !== '' ? { with: other, layer } : null;
  return (
    <>
      <OtherHeap label="Which other heap?" heap={heap} value={other} onChange={setOther} />
      <Choices
        label={`${heap.name} lies`}
        value={layer}
        onChange={setLayer}
        options={[
          { value: 'upper', label: 'On top' },
          { value: 'lower', label: 'Below' },
        ]}
      />
      <p className="hint">
        Put cardboard between them, and set the places of each so that a reading says which one it
        is of.
      </p>
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label="Keep it"
        missing={
          data !== null
            ? null
            : other === ''
              ? 'Choose the other heap.'
              : 'Choose whether it lies on top or below.'
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}
