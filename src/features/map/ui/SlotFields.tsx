'use client';
import { say } from '@/messages/say';
import { signOf } from '@/core/quantity/typed-quantity';
import { RISKS, type Risk } from '@/core/log/store-shapes';
import { RISK_WORDS } from '@/core/mix/words';
import { Field } from '@/ui/Field';
import { SLOT_WORDS, type SlotDraft } from '../map-draft';

type Metres = 'xM' | 'yM' | 'lengthM' | 'widthM' | 'heightM';
type SlotProps = { readonly slot: SlotDraft; readonly set: (slot: SlotDraft) => void };

const metresOf = ({ kind }: SlotDraft): readonly (readonly [Metres, string])[] => [
  ['xM', say('map.fromTheLeft')],
  ['yM', say('map.fromTheTop')],
  ['lengthM', kind === 'row' ? say('map.length') : say('map.width')],
  ['widthM', kind === 'row' ? say('map.width') : say('map.depth')],
  ['heightM', say('map.height')],
];

/** Kept for all that the site takes, or for some kinds of stuff alone. */
function KeptFor({ slot, set }: SlotProps) {
  const { only, ...open } = slot;
  const tick = (risk: Risk, checked: boolean): void => {
    const others = (only ?? []).filter((x) => x !== risk);
    set({ ...slot, only: checked ? [...others, risk] : others });
  };
  return (
    <fieldset>
      <legend className="label">{say('map.reservedFor')}</legend>
      <label className="flex gap-2 items-center min-h-[40px]">
        <input
          type="checkbox"
          className="size-5"
          checked={only === undefined}
          onChange={(e) => set(e.target.checked ? open : { ...open, only: ['food'] })}
        />
        {say('map.anythingTheSiteAccepts')}
      </label>
      {only !== undefined && (
        <div className="grid grid-cols-2">
          {RISKS.map((r) => (
            <label key={r} className="flex gap-2 items-center min-h-[40px]">
              <input
                type="checkbox"
                className="size-5"
                checked={only.includes(r)}
                onChange={(e) => tick(r, e.target.checked)}
              />
              {RISK_WORDS[r]}
            </label>
          ))}
        </div>
      )}
    </fieldset>
  );
}

/** Name, metres and use of one place. */
export function SlotFields({ slot, set, onTakeOff }: SlotProps & { onTakeOff: () => void }) {
  return (
    <section className="flex flex-col gap-2" data-testid="edit-slot">
      <h2 className="!text-says">
        {SLOT_WORDS[slot.kind]} {slot.name}
      </h2>
      <Field
        label={say('map.name')}
        value={slot.name}
        maxLength={40}
        onChange={(e) => set({ ...slot, name: e.target.value })}
      />
      <div className="grid grid-cols-2 gap-2">
        {metresOf(slot).map(([field, label]) => (
          <Field
            key={field}
            label={label}
            unit={signOf('length')}
            inputMode="decimal"
            value={slot[field]}
            onChange={(e) => set({ ...slot, [field]: e.target.value })}
          />
        ))}
      </div>
      <Field
        label={say('map.base')}
        value={slot.base ?? ''}
        maxLength={80}
        onChange={(e) => set({ ...slot, base: e.target.value })}
        placeholder={say('map.palletsWireMeshSoil')}
      />
      <Field
        label={say('map.air')}
        value={slot.air ?? ''}
        maxLength={80}
        onChange={(e) => set({ ...slot, air: e.target.value })}
        placeholder={say('map.pipeBlowerNone')}
      />
      <KeptFor slot={slot} set={set} />
      <p>
        <button type="button" className="btn" onClick={onTakeOff}>
          {say('map.removeFromMap')}
        </button>
      </p>
    </section>
  );
}
