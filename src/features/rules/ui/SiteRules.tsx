'use client';
import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { useState } from 'react';
import { COUNTRIES, type Country } from '@/core/log/kinds/vocabulary';
import type { Policy } from '@/core/evidence/types';
import { Disclosure } from '@/ui/Disclosure';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { LeadSelect, withLead } from '@/ui/LeadSelect';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import type { RuleDraft } from '../input';
import type { RuleView } from '../view';
import { createPolicyDraft, policyOf } from '../policy-draft';
import { PolicyFields } from './PolicyFields';
import { RuleForm } from './RuleForm';
import { RuleList } from './RuleList';
import { useSubmitTerms } from './useSubmitTerms';

export type SiteRulesProps = {
  readonly edition: number;
  readonly library: readonly RuleView[];
  readonly own: readonly { draft: RuleDraft; view: RuleView; versions: readonly string[] }[];
  readonly chosen: readonly string[] | null;
  /** Whose rules are proposed; null: of no country that the library has. */ readonly country: Country | null;
  readonly policy: Policy;
  readonly version: number | null;
  readonly versions: readonly {
    version: number;
    when: string;
    by: string;
    policy: string;
    rules: number;
  }[];
  readonly by: string;
  readonly unit: 'C' | 'F';
};

/** What the site works to: its rules, its own rules, and how evidence is judged. Each change is a version. */
export const SiteRules = (p: SiteRulesProps) => (
  <DraftScope name="rules of the site">
    <Terms {...p} />
  </DraftScope>
);

function Terms(p: SiteRulesProps) {
  const all = [...p.own.map((o) => o.view), ...p.library];
  const [rules, setRules] = useTyped<readonly string[]>('rules', p.chosen ?? []);
  const [draft, setDraft] = useTyped('policy', createPolicyDraft(p.policy));
  const [country, setCountry] = useTyped<Country | 'other'>('country', p.country ?? 'other');
  const [done, setDone] = useState(false);
  const keeper = useSubmitTerms(p.by);
  const policy = policyOf(draft);
  const next = (p.version ?? 0) + 1;
  const save = (): void => {
    const lies = country === 'other' ? null : country;
    const data = { policy, rules, ...(lies === p.country ? {} : { country: lies }) };
    if (policy) keeper.save('site-terms', null, data, () => setDone(true));
  };
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(340px,470px)]">
      <div className="min-w-0 px-5 py-5 flex flex-col gap-4">
        <div>
          <h1>{say('rules.rulesOfThisSite')}</h1>
          <p className="mt-2 max-w-[60ch]">{say('rules.tickWhatThisSiteMust')}</p>
        </div>
        <label className="label max-w-[340px]">
          {say('rules.whereTheSiteIs')}
          <select
            className="field mt-1"
            value={country}
            onChange={(e) => {
              setDone(false);
              setCountry(e.target.value as Country | 'other');
            }}
          >
            {COUNTRIES.map((c) => (
              <option key={c} value={c}>
                {libraryText(c)}
              </option>
            ))}
            <option value="other">{say('open.anotherCountry')}</option>
          </select>
          <span className="hint block mt-1 font-normal">{say('rules.itsRulesAreProposed')}</span>
        </label>
        <RuleList
          rules={all}
          ticked={new Set(rules)}
          onTick={(id, on) => {
            setDone(false);
            setRules(on ? [...rules, id] : rules.filter((r) => r !== id));
          }}
        />
        <LeadSelect
          label={say('bring.whichRuleShownFirstOn')}
          hint={say('rules.itAlsoShownUnderBatches')}
          chosen={rules}
          named={all}
          onLead={(id) => {
            setDone(false);
            setRules(withLead(rules, id));
          }}
        />
        <p className="hint">{say('rules.editionLibraryAboveOrExceeds', { edition: p.edition })}</p>
        <RuleForm own={p.own} unit={p.unit} by={p.by} taken={p.library.map((r) => r.id)} />
      </div>
      <aside
        className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 py-5 flex flex-col gap-4"
        aria-label={say('rules.howReadingsAreJudged')}
      >
        <h2>{say('rules.howReadingsAreJudged')}</h2>
        <PolicyFields
          draft={draft}
          onChange={(d) => {
            setDone(false);
            setDraft(d);
          }}
          unit={p.unit}
        />
        <Field
          label={say('rules.who')}
          value={keeper.by}
          onChange={(e) => keeper.setBy(e.target.value)}
          maxLength={60}
          autoComplete="name"
          hint={say('rules.yourNameSavedWithThis')}
        />
        <Problems list={keeper.problems} />
        <SaveButton
          label={say('rules.saveRulesPolicyAsVersion', { next })}
          busy={keeper.busy}
          missing={!policy ? say('rules.aFigurePolicyNotNumber') : whoIsMissing(keeper.by)}
          onSave={save}
        />
        <p className="hint" aria-live="polite">
          {say('rules.keptheapsSavedBatchesStartedFrom', { done: done ? 'keptHeaps' : 'other' })}
        </p>
        {p.versions.length > 0 && (
          <Disclosure summary={say('rules.versionsSoFar', { versions: p.versions.length })}>
            <ul className="flex flex-col gap-2 text-small">
              {p.versions.map((v) => (
                <li key={v.version}>
                  <b>{say('rules.version3', { version: v.version })}</b>, {v.when}, {v.by}:{' '}
                  {v.rules} {v.rules === 1 ? 'rule' : 'rules'}.{' '}
                  <span className="q">{v.policy}</span>
                </li>
              ))}
            </ul>
          </Disclosure>
        )}
      </aside>
    </div>
  );
}
