'use client';
import { say } from '@/messages/say';
import type { BroughtPreview } from '@/core/formats/bring';
import { whenText } from '@/core/quantity/format';
import { Field, Problems } from '@/ui/Field';
import { LeadSelect } from '@/ui/LeadSelect';
import { SaveButton } from '@/ui/SaveButton';
import { proposeRules, rulesToKeep, type RuleChoices, type SiteContext } from '../rules-to-keep';

type Preview = Extract<BroughtPreview, { ok: true }>;
type Refusal = Extract<BroughtPreview, { ok: false }>;

const BAD_SHOWN = 12;

/** Every place that is wrong; nothing is brought in until all are mended. */
export function BadRows({ problems }: Pick<Refusal, 'problems'>) {
  return (
    <div data-testid="bad-rows">
      <p className="font-semibold marked">
        {say('bring.nothingWasImportedPlacePlaces', { problems: problems.length })}
      </p>
      <ul className="mt-1.5 text-small list-disc pl-5">
        {problems.slice(0, BAD_SHOWN).map((b, i) => (
          <li key={i}>
            {b.line !== undefined || b.path === 'builtAt' ? b.message : `${b.path}: ${b.message}`}
          </li>
        ))}
      </ul>
      {problems.length > BAD_SHOWN && (
        <p className="q">{say('bring.andMore', { problems: problems.length - BAD_SHOWN })}</p>
      )}
      <p className="mt-1.5">{say('bring.fixFileDropAgain')}</p>
    </div>
  );
}

/** What the file holds, in a sentence. */
const Summary = ({ preview: v }: { preview: Preview }) => (
  <p>
    {v.name ? `${v.name} (${v.code})` : v.code} {say('bring.of', { site: v.site })}{' '}
    <b>{say('bring.readings', { readings: v.readings })}</b>{' '}
    {say('bring.atPointPointsOtherEntry', {
      points: v.points,
      events: v.events,
      from: whenText(v.timeZone, v.from),
      to: whenText(v.timeZone, v.to),
    })}
  </p>
);

function VerdictRow({
  verdict: v,
  checked,
  proposed,
  onCheck,
}: {
  verdict: Preview['verdicts'][number];
  checked: boolean;
  proposed: string | undefined;
  onCheck: (checked: boolean) => void;
}) {
  return (
    <li data-rule={v.id} data-status={v.status} className="border-t border-rule py-1">
      <label className="flex gap-3 items-start py-1.5 min-h-target">
        <input
          type="checkbox"
          className="size-5 mt-0.5 flex-none"
          checked={checked}
          onChange={(e) => onCheck(e.target.checked)}
        />
        <span>
          <b className="font-[650]">{v.title}</b>
          <span className="hint block">
            {v.source}
            {proposed === undefined ? '' : say('bring.proposed', { proposed })}
          </span>
          {v.text}
        </span>
      </label>
    </li>
  );
}

/** Under which rules it is to be kept, each with what it would say. */
function VerdictChoices({
  preview,
  site,
  chosen,
  onChange,
}: {
  preview: Preview;
  site: SiteContext;
  chosen: readonly string[];
  onChange: (change: (before: RuleChoices) => RuleChoices) => void;
}) {
  const proposed = proposeRules(preview, site);
  const met = preview.verdicts.filter((v) => chosen.includes(v.id) && v.status === 'proven');
  const tick = (id: string, checked: boolean): void =>
    onChange((c) => ({ ...c, byHand: { ...c.byHand, [id]: checked } }));
  return (
    <fieldset>
      <legend className="label">{say('bring.whichRulesMustMeet')}</legend>
      <ul data-testid="preview-verdicts">
        {preview.verdicts.map((v) => (
          <VerdictRow
            key={v.id}
            verdict={v}
            checked={chosen.includes(v.id)}
            proposed={proposed.get(v.id)}
            onCheck={(checked) => tick(v.id, checked)}
          />
        ))}
      </ul>
      <LeadSelect
        label={say('bring.whichRuleShownFirstOn')}
        chosen={chosen}
        named={preview.verdicts}
        onLead={(leads) => onChange((c) => ({ ...c, leads }))}
      />
      <p className="hint mt-1">
        {say('bring.whichRuleAppliesYouCheck', {
          chosen:
            chosen.length === 0
              ? say('bring.noneTickedHasNoRule')
              : say('bring.itWouldMeetOf', { met: met.length, chosen: chosen.length }),
        })}
      </p>
    </fieldset>
  );
}

/** What a person says of the batch when it is kept. It outlives the preview, which comes anew with every change of the file. */
export type BroughtDraft = {
  readonly by: string;
  readonly bay: string;
  readonly choices: RuleChoices;
};

/** What it would say, and the form that keeps it whole. */
export function BroughtForm({
  preview,
  site,
  draft: { by, bay, choices },
  set,
  refused,
  sending,
  onKeep,
}: {
  preview: Preview;
  site: SiteContext;
  draft: BroughtDraft;
  set: (change: Partial<BroughtDraft>) => void;
  refused: readonly { path: string; message: string }[];
  sending: boolean;
  onKeep: (rules: readonly string[]) => void;
}) {
  const rules = rulesToKeep(preview, site, choices);
  return (
    <>
      <Summary preview={preview} />
      <VerdictChoices
        preview={preview}
        site={site}
        chosen={rules}
        onChange={(change) => set({ choices: change(choices) })}
      />
      <p className="hint">{preview.policy}</p>
      <Field
        label={say('bring.whoImportsIt')}
        value={by}
        onChange={(e) => set({ by: e.target.value })}
        maxLength={60}
      />
      <Field
        label={say('bring.bay')}
        value={bay}
        onChange={(e) => set({ bay: e.target.value })}
        maxLength={40}
        hint={say('bring.ifOnThisSite')}
      />
      <Problems list={refused} />
      <SaveButton
        className="btn key !min-h-glove"
        label={say('bring.importIt')}
        busy={sending}
        missing={by.trim() === '' ? say('bring.sayWhoImportsIt') : null}
        onSave={() => onKeep(rules)}
      />
    </>
  );
}
