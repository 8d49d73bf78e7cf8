'use client';
import { say } from '@/messages/say';
import { signOf, typedQuantity } from '@/core/quantity/typed-quantity';
import type { Interval } from '@/core/flow/trace';
import type { Basis } from '@/core/release/limits';
import type { JoiningLot } from '@/core/lots/joining';
import type { CropFamily } from '@/core/log/kinds/vocabulary';
import type { UseId } from '@/core/release/uses';
import type { LotKindOfLog, CureDoubt, OutDoubt } from '@/core/log/lot-shapes';
import { LOT_WAITING_NAMES, type LotEntryKind } from '@/core/log/kinds/waiting-lots';
import { useNamedEntry, type EntryHandle, type HeapRef } from '@/entry/ui/useEntry';
import { nameForHeap } from '@/core/words/waiting';
import type { EntryForm } from '@/entry/input';
import { enqueue, submitOrQueue } from '@/outbox/keep';
import { readyPhoto } from '@/outbox/photo';
import { sendWaiting } from '@/outbox/store';
import type { SubmitResult } from '@/ui/useSubmit';
import { Choices } from '@/ui/Choices';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { useState } from 'react';
import { v7 } from 'uuid';

/** The lot that a form speaks of, and the lots beside it. */
export type LotRef = {
  readonly id: string;
  readonly name: string;
  readonly by: string;
  readonly nowLocal: string;
  readonly unit: 'C' | 'F';
  /** It is a batch: what leaves it is written in its own log. */ readonly isBatch: boolean;
  readonly litres: number | null;
  /** As what it goes into a batch. */ readonly material: string;
  /** All of it was heated. */ readonly heated: boolean;
  /** Batches that it may be put into, with whether each is still being built. */
  readonly batches: readonly {
    readonly id: string;
    readonly name: string;
    readonly building: boolean;
  }[];
  /** Other lots that matter may be moved to. */
  readonly targets: readonly (JoiningLot & {
    readonly id: string;
    readonly name: string;
    readonly kind: LotKindOfLog;
    readonly age: string;
    /** It was not measured for two weeks. */ readonly measureFirst: boolean;
  })[];
  /** What of it was never heated. */ readonly raw: Interval;
  /** Why it should not go out yet, and what was seen of it; null: it is released. */
  /** What it is released for; null: it is not. */ readonly releasedFor: readonly UseId[] | null;
  readonly doubt: { readonly code: OutDoubt; readonly texts: readonly string[] } | null;
  /** Why it should not be moved to cure now, the gravest first. */
  readonly cureDoubts: readonly { readonly code: CureDoubt; readonly text: string }[];
  /** What to say where it goes onto a bed of a family of which diseased plants went in. */
  readonly diseased: readonly { readonly family: CropFamily; readonly text: string }[];
};
export type LotFormProps = { readonly lot: LotRef; readonly onDone: () => void };

/** What a form of the log needs to know of a lot: its entries belong to the site, not to a batch. */
export const refOf = ({ name, by, nowLocal, unit }: LotRef, batch = ''): HeapRef => ({
  ...{ id: batch, name, by, nowLocal, unit },
});
export const useLotEntry = (kind: LotEntryKind, lot: LotRef, onDone: () => void): EntryHandle =>
  useNamedEntry(kind, LOT_WAITING_NAMES[kind], refOf(lot), onDone);

/** Words that a form adds to its data where something was typed. */
export const wordsIn = (words: string): { words?: string } =>
  words.trim() === '' ? {} : { words: words.trim() };

export function NoteField({ value, onChange }: { value: string; onChange: (v: string) => void }) {
  return (
    <Field
      label={say('round.note')}
      value={value}
      maxLength={300}
      onChange={(e) => onChange(e.target.value)}
    />
  );
}

type HowMuchTyped = 'all' | 'part' | 'unknown' | '';
/** How much of a lot is taken: all, so much, or an amount that nobody measured. */
export function useHowMuch(first: HowMuchTyped = 'all') {
  const [how, setHow] = useTyped<HowMuchTyped>('how', first);
  const [litres, setLitres] = useTyped('litres', '');
  const typed = typedQuantity('litres', litres);
  const problem = typed === null || typed === 0 ? say('lots.typeAmount') : undefined;
  const data =
    how === 'all'
      ? { all: true, ...(typed ? { litres: typed } : {}) }
      : how === 'part' && typed
        ? { all: false, litres: typed }
        : how === 'unknown'
          ? { all: false }
          : null;
  return { how, setHow, litres, setLitres, typed, problem, data };
}
export function HowMuch({ much, label }: { much: ReturnType<typeof useHowMuch>; label: string }) {
  return (
    <>
      <Choices
        label={label}
        value={much.how}
        onChange={much.setHow}
        columns={3}
        options={[
          { value: 'all', label: say('lots.allOfIt2') },
          { value: 'part', label: say('lots.aPart') },
          { value: 'unknown', label: say('lots.notMeasured'), hint: say('lots.makesSharesWide') },
        ]}
      />
      {much.how !== 'unknown' && (
        <LitresField
          label={much.how === 'all' ? say('lots.howMuchIfMeasured') : say('day.howMuch')}
          value={much.litres}
          onChange={much.setLitres}
          problem={much.problem}
        />
      )}
    </>
  );
}

export const LitresField = ({
  label,
  value,
  onChange,
  problem,
}: {
  label: string;
  value: string;
  onChange: (v: string) => void;
  problem?: string | undefined;
}) => (
  <Field
    label={label}
    unit={signOf('litres')}
    inputMode="decimal"
    value={value}
    onChange={(e) => onChange(e.target.value)}
    problem={problem}
  />
);

/** Which lot something goes to: one that is there, or a new one with its code. */
export function useTarget(kind: LotKindOfLog, lot: Pick<LotRef, 'targets'>, field = 'to') {
  const [to, setTo] = useTyped(field, '');
  const [code, setCode] = useTyped(`${field}-code`, '');
  const [where, setWhere] = useTyped(`${field}-where`, '');
  const [fresh] = useState(() => v7());
  const isNew = to === '' || !lot.targets.some((t) => t.id === to);
  const data = isNew
    ? code.trim() === ''
      ? null
      : {
          to: fresh,
          begin: { kind, code: code.trim(), ...(where.trim() ? { where: where.trim() } : {}) },
        }
    : { to };
  return { to, setTo, code, setCode, where, setWhere, isNew, data };
}
export function LotTargetFields({
  target,
  targets,
  label,
}: {
  target: ReturnType<typeof useTarget>;
  targets: LotRef['targets'];
  label: string;
}) {
  return (
    <>
      {targets.length > 0 && (
        <label className="label">
          {label}
          <select
            className="field mt-1"
            value={target.isNew ? '' : target.to}
            onChange={(e) => target.setTo(e.target.value)}
          >
            <option value="">{say('lots.aNewLot')}</option>
            {targets.map((t) => (
              <option key={t.id} value={t.id}>
                {t.name}
              </option>
            ))}
          </select>
        </label>
      )}
      {target.isNew && (
        <div className="grid grid-cols-2 gap-3">
          <Field
            label={say('lots.codeOfNewLot')}
            value={target.code}
            maxLength={24}
            onChange={(e) => target.setCode(e.target.value)}
          />
          <Field
            label={say('lots.whereItLies')}
            value={target.where}
            maxLength={40}
            onChange={(e) => target.setWhere(e.target.value)}
          />
        </div>
      )}
    </>
  );
}

/** Whether a figure is of dry matter, of fresh matter, or as the laboratory reported it. */
export const BasisSelect = ({
  value,
  onChange,
}: {
  /** `not-understood`: a sheet says something else, so one is asked for. */ value:
    Basis | '' | 'not-understood';
  onChange: (basis: Basis | '') => void;
}) => (
  <label className="label">
    {say('lots.basisLabel')}
    <select
      className="field mt-1"
      value={value}
      onChange={(e) => onChange(e.target.value as Basis | '')}
    >
      {value === 'not-understood' && (
        <option value="not-understood" disabled>
          {say('lots.basisNotUnderstood')}
        </option>
      )}
      <option value="">{say('lots.asReported')}</option>
      <option value="dry">{say('lots.dryMatter')}</option>
      <option value="fresh">{say('lots.freshMatter')}</option>
    </select>
  </label>
);

/** A picture that goes with an entry: of the seedlings, of the tray, of the paper. */
export function usePhoto() {
  const [photo, setPhoto] = useState<Blob | null>(null);
  const take = async (file: File): Promise<string> => {
    const { blob } = await readyPhoto(file);
    setPhoto(blob);
    return say('lots.photoTaken', { size: Math.round(blob.size / 1000) });
  };
  return { photo, take };
}

/** What was found in a test, with its picture if one was taken: the picture is sent first. */
export async function submitTest(
  form: EntryForm,
  lot: string,
  photo: Blob | null,
): Promise<SubmitResult> {
  const name = nameForHeap(lot, LOT_WAITING_NAMES['maturity-test']);
  if (photo === null) return submitOrQueue(form, name);
  await enqueue([{ form, ...name, photo }]);
  return { ok: true, already: false, waiting: !(await sendWaiting()).reached };
}
