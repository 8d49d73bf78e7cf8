'use client';
import { say } from '@/messages/say';
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
      <WhenAndWho entry={entry} heap={heap} />
      <KeepBar
        entry={entry}
        label={say('log.save')}
        missing={
          data !== null
            ? null
            : other === ''
              ? say('log.chooseTheOtherBatch')
              : say('log.chooseWhetherOnTopOr')
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}
