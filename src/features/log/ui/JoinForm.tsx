'use client';
import { say } from '@/messages/say';
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
        what: say('log.allOfIt', { name: other.name }),
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
        label={say('log.whichBatchWasJoined')}
        heap={heap}
        value={from}
        onChange={setFrom}
        elsewhere={{ value: 'foreign', label: say('log.oneFromOutsideThisSite') }}
      />
      {other && (
        <p>
          {say('log.isFinishedLogRecordStay', {
            withProven: data?.withProven
              ? say('log.hasMetRulesSoNothing', { name: other.name, name2: heap.name })
              : say('log.hasNotMetRulesJoined', { name: other.name, name2: heap.name }),
            name: other.name,
          })}
        </p>
      )}
      {foreign && (
        <>
          <Field
            label={say('log.whatWasIt')}
            value={what}
            onChange={(e) => setWhat(e.target.value)}
            maxLength={200}
            placeholder={say('log.halfTrailerFromNeighbor')}
          />
          <Choices
            label={say('log.hadBatchMetRule')}
            value={proven}
            onChange={setProven}
            options={[
              {
                value: 'yes',
                label: say('log.yesItHad'),
                hint: say('log.andNothingRawInSince'),
              },
              {
                value: 'no',
                label: say('log.noOrIDontKnow'),
                hint: say('log.theClockStartsOver'),
              },
            ]}
          />
          <Choices
            optional
            label={say('log.liveWeedSeedsIn')}
            value={seeds}
            onChange={setSeeds}
            columns={3}
            options={[
              { value: 'yes', label: say('log.yes') },
              { value: 'no', label: say('log.no') },
              { value: 'unknown', label: say('log.dontKnow') },
            ]}
          />
        </>
      )}
      <WhenAndWho entry={entry} heap={heap} />
      {data && !data.withProven && <p className="caution">{CAUTION.raw}</p>}
      {data && <Effects preview={preview} />}
      <KeepBar
        entry={entry}
        label={costs ? say('log.logStartClockOver') : say('log.saveBatchesJoined')}
        missing={
          data !== null
            ? null
            : from === ''
              ? say('log.chooseTheOtherBatch')
              : say('log.chooseWhetherHadMetRule')
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}
