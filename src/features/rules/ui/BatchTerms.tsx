'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import Link from 'next/link';
import type { Policy } from '@/core/evidence/types';
import { Disclosure } from '@/ui/Disclosure';
import { DraftScope, useTyped } from '@/ui/draft';
import { Field, Problems } from '@/ui/Field';
import { LeadSelect, withLead } from '@/ui/LeadSelect';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import type { RuleView, StandingCell } from '../view';
import { createPolicyDraft, policyOf } from '../policy-draft';
import { PolicyFields } from './PolicyFields';
import { RuleList } from './RuleList';
import { useSubmitTerms } from './useSubmitTerms';
import { itemAt } from '@/core/quantity/present';

export type BatchTermsProps = {
  readonly id: string;
  readonly name: string;
  readonly columns: readonly {
    version: number;
    ahead: boolean;
    inForce: boolean;
    policy: string;
    says: string;
  }[];
  readonly rows: readonly {
    id: string;
    title: string;
    cells: readonly ((StandingCell & { kept: boolean }) | null)[];
  }[];
  /** Those written for a heap that is kept so, and those it has. */ readonly offered: readonly RuleView[];
  /** Those in force, the one that leads first. */ readonly rules: readonly string[];
  /** What its method turns too seldom for. */ readonly short: readonly string[];
  readonly policy: Policy;
  readonly sitePolicy: Policy | null;
  readonly siteVersion: number | null;
  readonly ownRules: readonly { id: string }[];
  readonly by: string;
  readonly unit: 'C' | 'F';
};

/** The rules and policy of one heap: how it stands under each version it has had, and under the site's newest. */
export const BatchTerms = (p: BatchTermsProps) => (
  <DraftScope name={`rules of ${p.id}`}>
    <Terms {...p} />
  </DraftScope>
);

function Terms(p: BatchTermsProps) {
  const [rules, setRules] = useTyped<readonly string[]>('rules', p.rules);
  const [draft, setDraft] = useTyped('policy', createPolicyDraft(p.policy));
  const [fromSite, setFromSite] = useState(false);
  const [done, setDone] = useState(false);
  const keeper = useSubmitTerms(p.by);
  const policy = policyOf(draft);
  const save = (): void => {
    if (policy)
      keeper.save(
        'terms',
        p.id,
        {
          policy,
          rules,
          ownRules: p.ownRules.filter((r) => rules.includes(r.id)),
          ...(fromSite && p.siteVersion ? { siteVersion: p.siteVersion } : {}),
        },
        () => setDone(true),
      );
  };
  return (
    <div className="px-5 py-5 max-w-[1080px] flex flex-col gap-5">
      <div>
        <h1>{say('rules.rulesOf', { name: p.name })}</h1>
        <p className="mt-2">
          <Link prefetch={false} className="link" href={`/batch/${p.id}`}>
            {say('rules.backTo', { name: p.name })}
          </Link>
        </p>
      </div>
      <div
        className="relative overflow-x-auto"
        tabIndex={0}
        role="group"
        aria-label={say('rules.resultUnderEachVersion')}
      >
        <table className="text-left border-collapse w-full text-body">
          <thead>
            <tr className="border-b-[1.6px] border-ink align-bottom">
              <th scope="col" className="py-1.5 pr-3 min-w-[120px] sm:min-w-[190px]">
                {say('rules.rule')}
              </th>
              {p.columns.map((c) => (
                <th
                  scope="col"
                  key={`${c.version}${c.ahead}`}
                  className={`py-1.5 px-3 min-w-[190px] font-normal ${c.inForce ? 'bg-sheet' : ''}`}
                >
                  <b>
                    {c.ahead
                      ? say('rules.theSitesNewest')
                      : say('rules.versionInforceInForce', {
                          version: c.version,
                          inForce: c.inForce ? 'inForce' : 'other',
                        })}
                  </b>
                  <span className="block hint">{c.says}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {p.rows.map((r) => (
              <tr key={r.id} className="border-b border-rule align-top">
                <th scope="row" className="py-1.5 pr-3 font-semibold">
                  {r.title}
                </th>
                {r.cells.map((c, i) => (
                  <td
                    key={i}
                    className={`py-1.5 px-3 ${itemAt(p.columns, i).inForce ? 'bg-sheet' : ''}`}
                  >
                    {c ? (
                      <>
                        <b className={c.proven ? 'text-stamp' : ''}>{c.word}</b>{' '}
                        <span className="q">{c.text}</span>
                        {c.kept && (
                          <span className="block text-note">
                            {say('rules.thisStandsRuleWasMet')}
                          </span>
                        )}
                      </>
                    ) : (
                      <span className="q">{say('rules.notAskedFor')}</span>
                    )}
                  </td>
                ))}
              </tr>
            ))}
            <tr className="align-top">
              <th scope="row" className="py-1.5 pr-3 font-semibold">
                {say('rules.policy')}
              </th>
              {p.columns.map((c) => (
                <td
                  key={`${c.version}${c.ahead}`}
                  className={`py-1.5 px-3 hint ${c.inForce ? 'bg-sheet' : ''}`}
                >
                  {c.policy}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
      {p.short.map((text) => (
        <p key={text} className="caution max-w-[75ch]">
          {text}
        </p>
      ))}
      <p className="hint max-w-[75ch]">{say('rules.aChangeAppliesFromNow')}</p>
      <Disclosure summary={say('rules.changeRulesOrPolicy', { name: p.name })}>
        <div className="flex flex-col gap-5 pt-1">
          {p.sitePolicy && (
            <button
              type="button"
              className="btn self-start"
              onClick={() => {
                setDraft(createPolicyDraft(p.sitePolicy!));
                setFromSite(true);
                setDone(false);
              }}
            >
              {say('rules.useVersion')} {p.siteVersion} {say('rules.ofTheSitesPolicy')}
            </button>
          )}
          <RuleList
            rules={p.offered}
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
            named={p.offered}
            onLead={(id) => {
              setDone(false);
              setRules(withLead(rules, id));
            }}
          />
          {rules.length === 0 && <p>{say('rules.withoutRuleHasNothingMeet', { name: p.name })}</p>}
          <PolicyFields
            draft={draft}
            onChange={(d) => {
              setDraft(d);
              setFromSite(false);
              setDone(false);
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
            label={say('rules.saveAsVersionFor', {
              columns: p.columns.filter((c) => !c.ahead).length + 1,
              name: p.name,
            })}
            busy={keeper.busy}
            missing={!policy ? say('rules.aFigurePolicyNotNumber') : whoIsMissing(keeper.by)}
            onSave={save}
          />
          <p className="hint" aria-live="polite">
            {done ? say('rules.savedTableAboveShowsBoth') : ''}
          </p>
        </div>
      </Disclosure>
    </div>
  );
}
