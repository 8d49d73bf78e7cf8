'use client';
import { say } from '@/messages/say';
import { policyText } from '@/core/words/policy';
import { Choices } from '@/ui/Choices';
import { Field } from '@/ui/Field';
import { POLICY_NUMBERS, policyOf, problemOf, type PolicyDraft } from '../policy-draft';

/** The evidence policy, field by field, with the sentence that it will print beside every verdict. */
export function PolicyFields({
  draft,
  onChange,
  unit,
}: {
  draft: PolicyDraft;
  onChange: (d: PolicyDraft) => void;
  unit: 'C' | 'F';
}) {
  const set = (change: Partial<PolicyDraft>): void => onChange({ ...draft, ...change });
  const policy = policyOf(draft);
  return (
    <div className="flex flex-col gap-4">
      <Choices
        label={say('rules.aCheckJudgedBy')}
        value={draft.combine}
        columns={3}
        onChange={(v) => {
          if (v) set({ combine: v });
        }}
        options={[
          { value: 'coldest', label: say('batch.coldestPoint'), hint: say('rules.theStrictest') },
          { value: 'median', label: say('rules.median') },
          { value: 'mean', label: say('rules.mean'), hint: say('rules.hidesAColdSide') },
        ]}
      />
      <Choices
        label={say('rules.timeIsCountedIn')}
        value={draft.counting}
        onChange={(v) => {
          if (v) set({ counting: v });
        }}
        options={[
          { value: 'hours', label: say('rules.hours'), hint: say('rules.asTheyPass') },
          {
            value: 'days',
            label: say('rules.calendarDays'),
            hint: say('rules.eachDayWithHotCheck'),
          },
        ]}
      />
      <div className="grid grid-cols-[repeat(auto-fit,minmax(215px,1fr))] gap-x-4 gap-y-2 items-start">
        {POLICY_NUMBERS.filter((f) => f.key !== 'maxBlankDays' || draft.counting === 'days').map(
          (f) => (
            <Field
              key={f.key}
              label={f.label}
              unit={f.unit}
              inputMode="decimal"
              value={draft[f.key]}
              hint={f.hint}
              problem={problemOf(f, draft)}
              onChange={(e) => set({ [f.key]: e.target.value })}
            />
          ),
        )}
      </div>
      <fieldset>
        <legend className="label">{say('rules.pointsThatCount')}</legend>
        <div className="flex gap-5 flex-wrap">
          {(['core', 'middle', 'edge'] as const).map((z) => (
            <label key={z} className="flex gap-2 items-center min-h-target">
              <input
                type="checkbox"
                className="size-5"
                checked={draft.zones.includes(z)}
                onChange={(e) =>
                  set({
                    zones: e.target.checked
                      ? [...draft.zones, z]
                      : draft.zones.filter((x) => x !== z),
                  })
                }
              />
              {z}
            </label>
          ))}
        </div>
        <p className="hint">{say('rules.aPointWithNoZone')}</p>
      </fieldset>
      <p className="border-l-4 border-ink pl-3" aria-live="polite">
        {policy ? policyText(policy, unit) : say('rules.correctMarkedFigures')}
      </p>
    </div>
  );
}
