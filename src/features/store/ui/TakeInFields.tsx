'use client';
import { say } from '@/messages/say';
import { LOAD_STATES, type LoadState } from '@/core/log/store-shapes';
import { findMaterials } from '@/core/mix/find';
import { ANSWER_WORDS, RIPENING, STATE_WORDS, type Ripening } from '@/core/mix/words';
import { keysOf } from '@/core/words/feel';
import { readyPhoto } from '@/outbox/photo';
import { Choices } from '@/ui/Choices';
import { CropFamilySelect } from '@/entry/ui/CropFamilySelect';
import { Field } from '@/ui/Field';
import { PhotoKey } from '@/ui/PhotoKey';
import type { TakeInDraft, TakeInReading } from '../take-in-draft';
import type { MaterialOption } from '../view';
import { AcceptReasonChoices } from './AcceptReasonChoices';

/** The parts of the form that takes a load in, in its order. */
type Section = {
  readonly draft: TakeInDraft;
  readonly reading: TakeInReading;
  readonly set: (change: Partial<TakeInDraft>) => void;
};

const SHOWN = 12;

function MaterialSearch({
  draft,
  set,
  materials,
}: Omit<Section, 'reading'> & { materials: readonly MaterialOption[] }) {
  const wanted = draft.find.trim();
  const shown = wanted === '' ? [] : findMaterials(materials, wanted, (m) => m).slice(0, SHOWN);
  return (
    <>
      <Field
        label={say('store.whatIsIt')}
        value={draft.find}
        onChange={(e) => set({ find: e.target.value })}
        placeholder={say('store.strawHorseManurePeelings')}
        autoComplete="off"
        hint={say('store.materialsTypeWhatYouCall', { materials: materials.length })}
      />
      {wanted !== '' && (
        <ul className="ruled">
          {shown.map((m) => (
            <li key={m.id}>
              <button
                type="button"
                className="w-full text-left border-b border-rule min-h-choice pointer-coarse:min-h-[60px] flex justify-between items-center gap-3 cursor-pointer"
                onClick={() => set({ materialId: m.id, find: '', answer: '' })}
              >
                <b className="font-[650]">{m.name}</b>
                <span className="q text-hint">{m.role}</span>
              </button>
            </li>
          ))}
          {shown.length === 0 && <li className="py-2">{say('store.noMaterialHasNameAdd')}</li>}
        </ul>
      )}
    </>
  );
}

/** What it is, and what the site answers to it. */
export function MaterialFields({
  draft,
  reading: { material, permitted },
  set,
  materials,
}: Section & { materials: readonly MaterialOption[] }) {
  if (!material)
    return (
      <section className="flex flex-col gap-2">
        <MaterialSearch draft={draft} set={set} materials={materials} />
      </section>
    );
  return (
    <section className="flex flex-col gap-2">
      <p className="flex flex-wrap gap-3 items-center text-says">
        <b>{material.name}</b>
        <button type="button" className="btn" onClick={() => set({ materialId: '' })}>
          {say('store.anotherOne')}
        </button>
      </p>
      {material.answers.map((a) => (
        <p
          key={a.kept}
          className={a.answer === 'accept' ? 'font-semibold' : 'marked font-semibold'}
          data-testid="answer"
        >
          {ANSWER_WORDS[a.answer].says}
          {a.kept === 'all' ? '' : say('store.for2', { kept: a.kept })}
          {a.reason ? `: ${a.reason}` : ''}.
        </p>
      ))}
      {permitted && (
        <p className="font-semibold" data-testid="permitted">
          {permitted}
        </p>
      )}
      {material.caution && <p className="caution">{material.caution}</p>}
      <Field
        label={say('store.whatYouCallIt')}
        value={draft.what}
        maxLength={80}
        onChange={(e) => set({ what: e.target.value })}
        hint={say('store.leaveEmptyUseMaterialsName')}
        placeholder={say('store.grassFromSportsField')}
      />
    </section>
  );
}

const Suggestions = ({ id, list }: { id: string; list: readonly string[] }) => (
  <datalist id={id}>
    {list.map((s) => (
      <option key={s} value={s} />
    ))}
  </datalist>
);

/** From whom, where to, and in what state. */
export function OriginFields({
  draft,
  set,
  suppliers,
  places,
}: Section & { suppliers: readonly string[]; places: readonly string[] }) {
  return (
    <>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <Field
          label={say('store.fromWhom')}
          value={draft.supplier}
          maxLength={80}
          list="suppliers"
          onChange={(e) => set({ supplier: e.target.value })}
        />
        <Field
          label={say('store.whereItIsStored')}
          value={draft.where}
          maxLength={60}
          list="places"
          onChange={(e) => set({ where: e.target.value })}
        />
      </div>
      <Suggestions id="suppliers" list={suppliers} />
      <Suggestions id="places" list={places} />
      <label className="label max-w-[340px]">
        {say('store.itsState')}
        <select
          className="field mt-1"
          value={draft.state}
          onChange={(e) => set({ state: e.target.value as LoadState })}
        >
          {LOAD_STATES.map((s) => (
            <option key={s} value={s}>
              {STATE_WORDS[s]}
            </option>
          ))}
        </select>
      </label>
      <Choices
        label={say('store.sprayedWithWeedkiller')}
        value={draft.sprayed}
        onChange={(sprayed) => set({ sprayed })}
        columns={3}
        options={[
          { value: 'no', label: say('store.no'), hint: say('store.accordingToTheSupplier') },
          { value: 'yes', label: say('store.yes') },
          { value: 'unknown', label: say('store.notKnown2') },
        ]}
      />
      <CropFamilySelect
        label={say('lots.diseasedIn')}
        none={say('lots.noneKnown')}
        value={draft.diseased}
        onChange={(diseased) => set({ diseased })}
      />
    </>
  );
}

/** Why something is accepted that the site asks about or refuses. */
const AcceptReasonFields = ({ draft, set }: Omit<Section, 'reading'>) => (
  <>
    <AcceptReasonChoices value={draft.because} onChange={(because) => set({ because })} />
    <Field
      label={say('store.withWhomOrWhich')}
      value={draft.asked}
      maxLength={300}
      onChange={(e) => set({ asked: e.target.value })}
    />
  </>
);

/** Whether it is taken, held or refused. */
export function AnswerFields({
  draft,
  reading: { given, isException },
  set,
  mayAccept,
}: Section & { mayAccept: boolean }) {
  return (
    <>
      <Choices
        label={say('store.whatDoYouDoWith')}
        value={given}
        onChange={(answer) => set({ answer })}
        columns={3}
        options={[
          { value: 'accept', label: say('store.acceptIt') },
          { value: 'ask', label: say('store.putItOnHold'), hint: say('store.untilAnswered') },
          { value: 'refuse', label: say('store.refuseIt') },
        ]}
      />
      {isException && !mayAccept && (
        <p role="status" className="marked font-semibold w-fit">
          {say('store.putAsideForSomebody')}
        </p>
      )}
      {isException && mayAccept && <AcceptReasonFields draft={draft} set={set} />}
      {(given === 'ask' || given === 'refuse') && (
        <Field
          label={given === 'ask' ? say('store.whatAskWhom') : say('store.why')}
          value={draft.asked}
          maxLength={300}
          onChange={(e) => set({ asked: e.target.value })}
        />
      )}
      {given === 'refuse' && (
        <Field
          label={say('store.whatWasDoneWith')}
          value={draft.done}
          maxLength={300}
          onChange={(e) => set({ done: e.target.value })}
          placeholder={say('store.sentBackOnSameTrailer')}
        />
      )}
    </>
  );
}

function RipeningFields({ draft, set }: Omit<Section, 'reading'>) {
  return (
    <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <label className="label">
        {say('store.doesNeedAgingOrDrying')}
        <select
          className="field mt-1"
          value={draft.ripening}
          onChange={(e) => set({ ripening: e.target.value as Ripening | '' })}
        >
          <option value="">{say('store.noCanUsed')}</option>
          {keysOf(RIPENING).map((r) => (
            <option key={r} value={r}>
              {RIPENING[r].doing}
            </option>
          ))}
        </select>
      </label>
      {draft.ripening && (
        <Field
          label={say('store.readyIn')}
          unit={say('units.daysUnit')}
          inputMode="decimal"
          value={draft.days}
          placeholder={String(RIPENING[draft.ripening].days)}
          onChange={(e) => set({ days: e.target.value })}
          hint={say('store.isUsualThenAppearsIn', {
            days: String(RIPENING[draft.ripening].days),
          })}
        />
      )}
    </div>
  );
}

/** What came with it, what it cost, and whether it was waste. */
function PaperFields({ draft, set }: Omit<Section, 'reading'>) {
  return (
    <>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <Field
          label={say('store.certificateOrDeliveryNote')}
          value={draft.certificate}
          maxLength={120}
          onChange={(e) => set({ certificate: e.target.value })}
        />
        <Field
          label={say('store.cost')}
          unit={say('store.minusYouWerePaid')}
          inputMode="text"
          value={draft.cost}
          onChange={(e) => set({ cost: e.target.value })}
        />
      </div>
      <label className="flex gap-3 items-center min-h-choice">
        <input
          type="checkbox"
          className="size-5"
          checked={draft.waste}
          onChange={(e) => set({ waste: e.target.checked })}
        />
        {say('store.itWouldHaveGoneLandfill')}
      </label>
    </>
  );
}

type Photos = {
  readonly photos: readonly Blob[];
  readonly onPhotos: (change: (before: readonly Blob[]) => readonly Blob[]) => void;
};

function PhotoFields({ photos, onPhotos }: Photos) {
  const add = async (file: File): Promise<string> => {
    const { blob } = await readyPhoto(file);
    onPhotos((before) => [...before, blob]);
    return say('store.photoTakenKb', { size: Math.round(blob.size / 1000) });
  };
  const one = photos.length === 1;
  return (
    <>
      <PhotoKey of="the load" take={add} className="max-w-[340px]" />
      {photos.length > 0 && (
        <p className="flex flex-wrap gap-3 items-center -mt-2">
          <span>
            {say('store.withTheLoad', {
              one: one
                ? say('store.onePhotoIsSent')
                : say('store.photosAreSent', { photos: photos.length }),
            })}
          </span>
          <button type="button" className="btn" onClick={() => onPhotos(() => [])}>
            {say('store.removeItOther', { one: one ? 'it' : 'other' })}
          </button>
        </p>
      )}
    </>
  );
}

/** What is asked only where somebody wants to say it. */
export function MoreFields({
  draft,
  set,
  nowLocal,
  photos,
  onPhotos,
}: Section & Photos & { nowLocal: string }) {
  return (
    <details>
      <summary className="link min-h-choice flex items-center cursor-pointer">
        {say('store.seedsCertificateCostAgingPhotos')}
      </summary>
      <div className="flex flex-col gap-4 mt-2">
        <Choices
          optional
          label={say('store.liveWeedSeedsOrRoots')}
          value={draft.seeds}
          onChange={(seeds) => set({ seeds })}
          options={[
            { value: 'yes', label: say('store.yes') },
            { value: 'no', label: say('store.noIChecked') },
            { value: 'unknown', label: say('store.notKnown2') },
          ]}
        />
        <PaperFields draft={draft} set={set} />
        <RipeningFields draft={draft} set={set} />
        <PhotoFields photos={photos} onPhotos={onPhotos} />
        <Field
          label={say('store.note')}
          value={draft.words}
          maxLength={300}
          onChange={(e) => set({ words: e.target.value })}
        />
        <Field
          label={say('build.whenIfNotNow')}
          type="datetime-local"
          max={nowLocal}
          value={draft.at ?? ''}
          onChange={(e) => set({ at: e.target.value || null })}
        />
      </div>
    </details>
  );
}
