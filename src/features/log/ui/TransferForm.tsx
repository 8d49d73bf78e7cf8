'use client';
import { say } from '@/messages/say';
import { signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import { useTyped } from '@/ui/draft';
import { TRANSFERS, TRANSFER_KINDS, type TransferKind } from '@/core/log/kinds/vocabulary';
import { CAUTION } from '@/core/words/caution';
import { TRANSFER_WORDS } from '@/core/words/transfer';
import { Choices } from '@/ui/Choices';
import { Effects } from '@/ui/Effects';
import { Field } from '@/ui/Field';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry, useEntryPreview } from '@/entry/ui/useEntry';
import { OtherHeap } from './OtherHeap';

/** Something that left this heap: into another one, or for good. Logged once, it stands in both logs. */
export function TransferForm({ heap, onDone }: FormProps) {
  const entry = useEntry('transfer', heap, onDone);
  const [what, setWhat] = useTyped<TransferKind | ''>('what', '');
  const [to, setTo] = useTyped('to', '');
  const [litres, setLitres] = useTyped('litres', '');
  const [raw, setRaw] = useTyped<'raw' | 'clean' | ''>('raw', '');
  const amount = typedQuantity('litres', litres, 0.1);
  const usual = what === '' ? null : TRANSFERS[what];
  const isRaw = raw === '' ? (usual?.raw ?? true) : raw === 'raw';
  const data =
    what !== '' && amount !== null
      ? {
          what,
          raw: isRaw,
          seeds: isRaw ? (usual?.seeds ?? true) : false,
          ...(to === '' ? {} : { to }),
          ...(amount === undefined ? {} : { litres: amount }),
        }
      : null;
  const preview = useEntryPreview(entry, data);
  const costs = preview?.effects?.some((e) => e.costs) ?? false;
  return (
    <>
      <Choices
        label={say('log.whatWasRemoved')}
        value={what}
        onChange={(v) => {
          setWhat(v);
          setRaw('');
        }}
        columns={2}
        options={TRANSFER_KINDS.map((value) => ({
          value,
          label: TRANSFER_WORDS[value].name,
          hint: TRANSFER_WORDS[value].hint,
        }))}
      />
      <Field
        label={say('log.howMuch')}
        unit={signOf('litres')}
        inputMode="decimal"
        value={litres}
        onChange={(e) => setLitres(e.target.value)}
        problem={amount === null ? say('bench.typeWaterAsLitersOr') : undefined}
        hint={say('log.aBucketHoldsAbout10')}
      />
      <OtherHeap
        label={say('log.intoWhichBatchLeaveEmpty')}
        heap={heap}
        value={to}
        onChange={setTo}
      />
      {what !== '' && to !== '' && (
        <Choices
          label={say('log.isItRaw')}
          value={raw === '' ? (usual!.raw ? 'raw' : 'clean') : raw}
          onChange={setRaw}
          options={[
            { value: 'raw', label: say('log.rawOrIDontKnow') },
            { value: 'clean', label: say('log.clean'), hint: say('log.itHasMetRulesItself') },
          ]}
        />
      )}
      <WhenAndWho entry={entry} heap={heap} />
      {isRaw && what !== '' && (
        <p className="caution">{say('log.neverIntoDrainsOrStream', { raw: CAUTION.raw })}</p>
      )}
      {data && to !== '' && <Effects preview={preview} />}
      <KeepBar
        entry={entry}
        label={costs ? say('log.logStartClockOver2') : say('log.saveInBothLogs')}
        missing={
          data !== null
            ? null
            : what === ''
              ? say('log.chooseWhatWasRemoved')
              : say('bench.typeWaterAsLitersOr')
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}
