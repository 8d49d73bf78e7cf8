'use client';
import { say } from '@/messages/say';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 } from 'uuid';
import type { OwnMeasure } from '@/core/log/store-shapes';
import { submitOrQueue } from '@/outbox/keep';
import { useTypedFields } from '@/ui/draft';
import { AmountField } from '@/ui/AmountField';
import { Field, Problems } from '@/ui/Field';
import { SaveButton } from '@/ui/SaveButton';
import { useSubmit } from '@/ui/useSubmit';
import {
  loadData,
  newTakeInDraft,
  readTakeIn,
  type LoadAnswer,
  type TakeInDraft,
  type TakeInReading,
} from '../take-in-draft';
import type { MaterialOption } from '../view';
import { AnswerFields, MaterialFields, MoreFields, OriginFields } from './TakeInFields';

const SAVE_WORDS: Readonly<Record<LoadAnswer | '', string>> = {
  get accept() {
    return say('store.logThisLoad');
  },
  get ask() {
    return say('store.putOnHoldLog');
  },
  get refuse() {
    return say('store.logWasRefused');
  },
  get ''() {
    return say('store.logThisLoad');
  },
};

type Clock = { readonly nowMs: number; readonly nowLocal: string };

/** Sends a load with its photos; all of them wait together where there is no signal. */
const sendLoad = (
  { id, by }: { readonly id: string; readonly by: string },
  draft: TakeInDraft,
  reading: TakeInReading,
  clock: Clock,
  photos: readonly Blob[],
) => {
  const name = say('store.load', { name: reading.material?.name ?? '' });
  const data = loadData(draft, reading, clock);
  return submitOrQueue(
    { id, batch: null, kind: 'load', at: draft.at, by, data },
    name,
    photos.map((photo) => ({
      form: { id: v7(), batch: null, kind: 'load-change', at: null, by, data: { load: id } },
      what: say('store.photo4', { name }),
      photo,
    })),
  );
};

/** What was brought to the gate: what the site answers to it stands above what is typed. */
export function TakeIn({
  materials,
  measures,
  suppliers,
  places,
  by: device,
  mayAccept,
  ...clock
}: Clock & {
  materials: readonly MaterialOption[];
  measures: readonly OwnMeasure[];
  suppliers: readonly string[];
  places: readonly string[];
  by: string;
  /** Whether whoever is here may accept what the site asks about or refuses. */ mayAccept: boolean;
}) {
  const router = useRouter();
  const { id, by, setBy, problems, busy, keep } = useSubmit(device);
  const [draft, set] = useTypedFields(newTakeInDraft(measures));
  const [photos, setPhotos] = useState<readonly Blob[]>([]);
  const reading = readTakeIn(draft, materials, measures, { by, mayAccept });
  const section = { draft, reading, set };
  const save = (): void =>
    keep(
      () => sendLoad({ id, by }, draft, reading, clock, photos),
      () => router.push('/store'),
    );
  return (
    <div className="px-5 max-sm:px-4 py-5 max-w-[760px] flex flex-col gap-5">
      <h1>{say('store.logALoad')}</h1>
      <MaterialFields {...section} materials={materials} />
      <AmountField
        label={say('store.howMuch')}
        value={draft.amount}
        measures={measures}
        onChange={(amount) => set({ amount })}
        problem={reading.amountProblem}
      />
      <OriginFields {...section} suppliers={suppliers} places={places} />
      <AnswerFields {...section} mayAccept={mayAccept} />
      <MoreFields {...section} nowLocal={clock.nowLocal} photos={photos} onPhotos={setPhotos} />
      <Field
        label={say('store.who')}
        value={by}
        maxLength={60}
        autoComplete="name"
        onChange={(e) => setBy(e.target.value)}
      />
      <Problems list={problems} />
      <SaveButton
        label={SAVE_WORDS[reading.given]}
        busy={busy}
        missing={reading.missing}
        onSave={save}
        className="btn key !min-h-row"
      />
    </div>
  );
}
