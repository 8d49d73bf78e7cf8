'use client';
import { useState } from 'react';
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
import { useSubmitTerms, type Keep } from './useSubmitTerms';

export type SiteRulesProps = {
  readonly edition: number;
  readonly library: readonly RuleView[];
  readonly own: readonly { draft: RuleDraft; view: RuleView; versions: readonly string[] }[];
  readonly chosen: readonly string[] | null;
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
  readonly keep: Keep;
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
  const [done, setDone] = useState(false);
  const keeper = useSubmitTerms(p.keep, p.by);
  const policy = policyOf(draft);
  const next = (p.version ?? 0) + 1;
  const save = (): void => {
    if (policy) keeper.save('site-terms', null, { policy, rules }, () => setDone(true));
  };
  return (
    <div className="flex-1 grid lg:grid-cols-[minmax(0,1fr)_minmax(340px,470px)]">
      <div className="min-w-0 px-5 py-5 flex flex-col gap-4">
        <div>
          <h1>Rules of this site</h1>
          <p className="mt-2 max-w-[60ch]">
            Tick what this site must meet. A new heap is offered these, by what goes into it. Which
            rule holds for you: check with your local authority.
          </p>
        </div>
        <RuleList
          rules={all}
          ticked={new Set(rules)}
          onTick={(id, on) => {
            setDone(false);
            setRules(on ? [...rules, id] : rules.filter((r) => r !== id));
          }}
        />
        <LeadSelect
          label="Which rule does the head of the heap tell?"
          hint="It is told on the yard too; the others stand below it."
          chosen={rules}
          named={all}
          onLead={(id) => {
            setDone(false);
            setRules(withLead(rules, id));
          }}
        />
        <p className="hint">
          Edition {p.edition} of the library. ‘Above’ or ‘exceeds’ in a published text is treated
          like ‘at or above’.
        </p>
        <RuleForm
          own={p.own}
          unit={p.unit}
          keep={p.keep}
          by={p.by}
          taken={p.library.map((r) => r.id)}
        />
      </div>
      <aside
        className="bg-sheet border-l-[1.6px] border-ink max-lg:border-l-0 max-lg:border-t-[1.6px] px-5 py-5 flex flex-col gap-4"
        aria-label="How evidence is judged"
      >
        <h2>How evidence is judged</h2>
        <PolicyFields
          draft={draft}
          onChange={(d) => {
            setDone(false);
            setDraft(d);
          }}
          unit={p.unit}
        />
        <Field
          label="Who"
          value={keeper.by}
          onChange={(e) => keeper.setBy(e.target.value)}
          maxLength={60}
          autoComplete="name"
          hint="Your name goes beside the version"
        />
        <Problems list={keeper.problems} />
        <SaveButton
          label={`Keep rules and policy as version ${next}`}
          busy={keeper.busy}
          missing={!policy ? 'A figure of the policy is not a number.' : whoIsMissing(keeper.by)}
          onSave={save}
        />
        <p className="hint" aria-live="polite">
          {done ? 'Kept. Heaps opened from now on take it. ' : ''}Heaps under way keep the version
          they have, and a proof stays as it was reached; on a heap’s page you can look at it under
          the new version, and take it over.
        </p>
        {p.versions.length > 0 && (
          <Disclosure summary={`Versions so far: ${p.versions.length}`}>
            <ul className="flex flex-col gap-2 text-small">
              {p.versions.map((v) => (
                <li key={v.version}>
                  <b>Version {v.version}</b>, {v.when}, {v.by}: {v.rules}{' '}
                  {v.rules === 1 ? 'rule' : 'rules'}. <span className="q">{v.policy}</span>
                </li>
              ))}
            </ul>
          </Disclosure>
        )}
      </aside>
    </div>
  );
}
