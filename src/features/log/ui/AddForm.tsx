'use client';
import { say } from '@/messages/say';
import { useTyped } from '@/ui/draft';
import { amountProblem, amountTyped } from '@/core/mix/amount';
import type { CarriedRisks } from '@/core/mix/concerns';
import { CAUTION } from '@/core/words/caution';
import { AmountField, type AmountTyped } from '@/ui/AmountField';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { Effects } from '@/ui/Effects';
import { typed } from '@/core/quantity/typed-number';
import { PutInDoubts, usePutInDoubts } from '@/entry/ui/PutInDoubts';
import { KeepBar, WhenAndWho, type FormProps } from '@/entry/ui/parts';
import { useEntry, useEntryPreview } from '@/entry/ui/useEntry';
import { type SeedAnswer, seedsOf, SeedChoice } from './SeedChoice';

const rawPreset = (carries: CarriedRisks | undefined): 'raw' | 'clean' | '' =>
  carries === undefined || carries.raw === null ? '' : carries.raw ? 'raw' : 'clean';

function seedsPreset(carries: CarriedRisks | undefined): SeedAnswer {
  if (carries === undefined) return '';
  return carries.seeds === null ? 'unknown' : carries.seeds ? 'yes' : 'no';
}

export function AddForm({ heap, onDone }: FormProps) {
  const entry = useEntry('addition', heap, onDone);
  const [rawTyped, setRaw] = useTyped<'raw' | 'clean' | ''>('rawTyped', '');
  const [seedsTyped, setSeeds] = useTyped<SeedAnswer>('seedsTyped', '');
  const [what, setWhat] = useTyped('what', '');
  const [from, setFrom] = useTyped('from', '');
  const [amount, setAmount] = useTyped<AmountTyped>('amount', {
    n: '1',
    unit:
      heap.store?.measures.find((m) => m.id === 'barrow')?.id ?? heap.store?.measures[0]?.id ?? 'L',
    about: false,
  });
  const source = heap.store?.sources.find((s) => s.key === from);
  const isCold = heap.templates?.find((t) => t.id === heap.template)?.noClaim ?? false;
  // What the load or the material carries is proposed; whoever stands there knows better.
  const raw = rawTyped || rawPreset(source?.carries);
  const seeds = seedsTyped || seedsPreset(source?.carries);
  const how = source
    ? amountTyped(typed(amount.n), amount.unit, amount.about, heap.store!.measures)
    : null;
  const amountWrong = source
    ? amountProblem(typed(amount.n), amount.unit, heap.store!.measures)
    : undefined;
  const doubts = usePutInDoubts(
    source && how ? [{ source, amount: how }] : [],
    heap.store?.room ?? null,
  );
  const data =
    raw === '' || amountWrong || (source && how === null)
      ? null
      : {
          raw: raw === 'raw',
          ...seedsOf(seeds),
          ...(what.trim() ? { what: what.trim() } : {}),
          ...doubts.data,
          ...(source && how
            ? {
                parts: [
                  {
                    material: source.material,
                    ...(source.load ? { load: source.load } : {}),
                    amount: how,
                  },
                ],
              }
            : {}),
        };
  const preview = useEntryPreview(entry, data);
  const costs = preview?.effects?.some((e) => e.costs) ?? false;
  return (
    <>
      {heap.store && (
        <label className="label">
          {say('log.fromStock')}
          <select className="field mt-1" value={from} onChange={(e) => setFrom(e.target.value)}>
            <option value="">{say('log.noOrNotCounted')}</option>
            {heap.store.sources.some((s) => s.inStore) && (
              <optgroup label={say('log.inStock')}>
                {heap.store.sources
                  .filter((s) => s.inStore)
                  .map((s) => (
                    <option key={s.key} value={s.key}>
                      {s.name}: {s.says}
                    </option>
                  ))}
              </optgroup>
            )}
            <optgroup label={say('log.fromTheLibrary')}>
              {heap.store.sources
                .filter((s) => !s.inStore)
                .map((s) => (
                  <option key={s.key} value={s.key}>
                    {s.name}
                  </option>
                ))}
            </optgroup>
          </select>
        </label>
      )}
      {source && (
        <AmountField
          label={say('log.howMuchOfIt')}
          value={amount}
          measures={heap.store!.measures}
          onChange={setAmount}
          problem={amountWrong}
        />
      )}
      <Field
        label={say('log.whatWentIn')}
        value={what}
        onChange={(e) => setWhat(e.target.value)}
        maxLength={200}
        placeholder={say('log.layerManureSixWheelbarrows')}
      />
      <Choices
        label={say('log.isItRaw')}
        value={raw}
        onChange={setRaw}
        options={[
          {
            value: 'raw',
            label: say('log.rawOrIDontKnow'),
            hint: say('log.manureFoodLitterLeachate'),
          },
          {
            value: 'clean',
            label: say('log.clean'),
            hint: say('log.chipsDryLeavesFinishedCompost'),
          },
        ]}
      />
      <SeedChoice value={seeds} onChange={setSeeds} />
      <WhenAndWho entry={entry} heap={heap} />
      {raw === 'raw' && <p className="caution">{CAUTION.raw}</p>}
      {seeds === 'yes' && isCold && (
        <p role="alert" className="caution" data-testid="cold-heap">
          {CAUTION.coldHeap}
        </p>
      )}
      {data && <Effects preview={preview} />}
      <PutInDoubts doubts={doubts} />
      <KeepBar
        entry={entry}
        label={costs ? say('log.logStartClockOver') : say('log.saveThisAddition')}
        missing={
          raw === ''
            ? say('log.chooseWhetherRaw')
            : (amountWrong ??
              (source && how === null
                ? say('log.sayHowMuchWentIn')
                : doubts.isOpen
                  ? say('entry.tickToPutIn')
                  : null))
        }
        onKeep={() => data && entry.save(data)}
      />
    </>
  );
}
