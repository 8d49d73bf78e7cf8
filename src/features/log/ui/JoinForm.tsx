'use client';
import { useTyped } from '@/ui/draft';
import { CAUTION } from '@/core/words/caution';
import { Choices } from '@/ui/Choices';
import { Effects } from '@/ui/Effects';
import { Field } from '@/ui/Field';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry, useEntryPreview } from '@/entry/ui/useEntry';
import { others, OtherHeap } from './OtherHeap';

/** Another heap joined to this one: the whole is only as proven as its weakest part, and the other one is at its end. */
export function JoinForm({ heap, onDone }: FormProps) {
  const entry = useEntry('merge', heap, onDone);
  const [from, setFrom] = useTyped('from', '');
  const [seeds, setSeeds] = useTyped<'yes' | 'no' | 'unknown' | ''>('seeds', '');
  const [proven, setProven] = useTyped<'yes' | 'no' | ''>('proven', '');
  const [what, setWhat] = useTyped('what', '');
  const own = heap.placed?.find((h) => h.id === heap.id);
  const other = others(heap).find((h) => h.id === from);
  const met = (rules: readonly string[]): boolean =>
    other !== undefined && rules.length > 0 && rules.every((r) => other.met.includes(r));
  const foreign = from === 'foreign';
  const data = other
    ? {
        from: other.id,
        withProven: met(own?.germRules ?? []),
        seeds: !met(own?.seedRules ?? []),
        what: `${other.name}, the whole of it`,
        ...(other.m3 === null ? {} : { volumeM3: other.m3 }),
      }
    : foreign && proven !== ''
      ? {
          withProven: proven === 'yes',
          ...(seeds === '' ? {} : { seeds: seeds !== 'no' }),
          ...(what.trim() ? { what: what.trim() } : {}),
        }
      : null;
  const preview = useEntryPreview(entry, data);
  const costs = preview?.effects?.some((e) => e.costs) ?? false;
  return (
    <>
      <OtherHeap
        label="Which heap was joined to it?"
        heap={heap}
        value={from}
        onChange={setFrom}
        elsewhere={{ value: 'foreign', label: 'One that is not kept here' }}
      />
      {other && (
        <p>
          {data?.withProven
            ? `${other.name} has met ${heap.name}’s rules, so nothing starts again.`
            : `${other.name} has not met ${heap.name}’s rules: the joined heap is only as proven as its weakest part.`}{' '}
          {other.name} is at its end; its log and record stay.
        </p>
      )}
      {foreign && (
        <>
          <Field
            label="What was it?"
            value={what}
            onChange={(e) => setWhat(e.target.value)}
            maxLength={200}
            placeholder="half a trailer from the neighbour"
          />
          <Choices
            label="Was that heap proven?"
            value={proven}
            onChange={setProven}
            options={[
              { value: 'yes', label: 'Yes, proven', hint: 'and nothing raw in it since' },
              { value: 'no', label: 'No, or I don’t know', hint: 'the clock starts again' },
            ]}
          />
          <Choices
            optional
            label="Live seeds in it?"
            value={seeds}
            onChange={setSeeds}
            columns={3}
            options={[
              { value: 'yes', label: 'Yes' },
              { value: 'no', label: 'No' },
              { value: 'unknown', label: 'Don’t know' },
            ]}
          />
        </>
      )}
      <WhenAndWho entry={entry} heap={heap} />
      {data && !data.withProven && <p className="caution">{CAUTION.raw}</p>}
      {data && <Effects preview={preview} />}
      <KeepBar
        entry={entry}
        label={costs ? 'Log it, and start the clock again' : 'Keep this joining'}
        missing={
          data !== null
            ? null
            : from === ''
              ? 'Choose the other heap.'
              : 'Choose whether it was proven.'
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}
