'use client';
import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { shortScheduleTexts } from '@/core/advice/schedule';
import type { Rule } from '@/core/evidence/rule';
import type { MethodTemplate } from '@/core/log/shapes';
import { CAUTION } from '@/core/words/caution';
import type { Country } from '@/core/log/kinds/vocabulary';
import {
  allowsInputs,
  conditionsOf,
  missingGermRule,
  type Input,
  type Keeping,
} from '@/core/rules/propose';
import { LeadSelect } from '@/ui/LeadSelect';
import type { ConfirmedCondition } from '../open-draft';

export type RuleOffer = {
  readonly id: string;
  readonly title: string;
  readonly source: string;
  readonly rule: Rule;
};
type Props = {
  readonly offered: readonly RuleOffer[];
  /** Ticked, the leading one first. */
  readonly chosen: readonly string[];
  /** Why a rule is proposed, by its id. */
  readonly why: ReadonlyMap<string, string>;
  readonly keeping: Keeping;
  readonly inputs: readonly Input[];
  readonly country: Country | null;
  readonly template: MethodTemplate | null;
  readonly siteVersion: number | null;
  onTick(id: string, on: boolean): void;
  onLead(id: string): void;
  readonly confirmed: readonly ConfirmedCondition[];
  onConfirm(confirmed: readonly ConfirmedCondition[]): void;
};

/** What a rule asks for beside temperatures: each line is for a person to confirm, and goes into the record. */
const Conditions = ({
  rule,
  conditions,
  confirmed,
  onConfirm,
}: Pick<Props, 'confirmed' | 'onConfirm'> & {
  rule: string;
  conditions: readonly string[];
}) => (
  <div className="pl-8">
    {conditions.map((condition) => (
      <label key={condition} className="flex gap-3 items-center min-h-target">
        <input
          type="checkbox"
          className="size-5 flex-none"
          checked={confirmed.some((c) => c.rule === rule && c.condition === condition)}
          onChange={(e) =>
            onConfirm([
              ...confirmed.filter((c) => c.rule !== rule || c.condition !== condition),
              ...(e.target.checked ? [{ rule, condition }] : []),
            ])
          }
        />
        {libraryText(condition)}
      </label>
    ))}
  </div>
);

/** The rules that a new heap is kept under: proposed ones first with their reason, any may be ticked, none has to be. */
export function RulesToProve({
  offered,
  chosen,
  why,
  keeping,
  inputs,
  country,
  template,
  siteVersion,
  onTick,
  onLead,
  confirmed,
  onConfirm,
}: Props) {
  const ticked = new Set(chosen);
  const [first, others] = [
    offered.filter((r) => why.has(r.id) || ticked.has(r.id)),
    offered.filter((r) => !why.has(r.id) && !ticked.has(r.id)),
  ];
  const missing = missingGermRule(
    { keeping, inputs, country, own: offered.map((r) => r.rule) },
    chosen,
  );
  const short = template
    ? shortScheduleTexts(
        template,
        offered.filter((r) => ticked.has(r.id)),
      )
    : [];
  const line = (r: RuleOffer) => (
    <div key={r.id} className="border-b border-rule">
      <label className="flex gap-3 items-start py-1.5 min-h-target">
        <input
          type="checkbox"
          className="size-5 mt-0.5 flex-none"
          checked={ticked.has(r.id)}
          onChange={(e) => onTick(r.id, e.target.checked)}
        />
        <span>
          <b className="font-[650]">{r.title}</b>
          <br />
          <span className="hint">
            {r.source}
            {why.has(r.id) ? say('open.proposed', { id: why.get(r.id) ?? '' }) : ''}
          </span>
        </span>
      </label>
      {ticked.has(r.id) && (
        <Conditions
          rule={r.id}
          conditions={conditionsOf(r.rule, keeping.method)}
          confirmed={confirmed}
          onConfirm={onConfirm}
        />
      )}
      {ticked.has(r.id) && !allowsInputs(r.rule, inputs) && (
        <p role="alert" className="caution mb-2">
          {say('open.ruleDoesNotAllow')}
        </p>
      )}
    </div>
  );
  return (
    <fieldset>
      <legend className="label">{say('open.rulesToMeet')}</legend>
      {keeping.noClaim && <p>{say('open.thisMethodMakesNoClaim')}</p>}
      {keeping.noClaim &&
        (inputs.includes('seeding-weeds') || inputs.includes('diseased-plants')) && (
          <p role="alert" className="caution">
            {CAUTION.coldHeap}
          </p>
        )}
      {first.map(line)}
      {others.length > 0 && (
        <details>
          <summary className="link min-h-target flex items-center">
            {say('open.otherRulesForThisMethod', { others: others.length })}
          </summary>
          {others.map(line)}
        </details>
      )}
      <LeadSelect
        label={say('bring.whichRuleShownFirstOn')}
        chosen={chosen}
        named={offered}
        onLead={onLead}
      />
      {missing && (
        <div role="alert" className="caution mt-2" data-testid="germ-rule-missing">
          <p className="font-semibold">
            {say('open.noRuleForPathogensTicked', { why: missing.why })}
          </p>
          {missing.cover.length > 0 ? (
            <p>{say('open.theseWouldCoverIt')}</p>
          ) : (
            <p>{say('open.theLibraryHasNoneFor')}</p>
          )}
          <ul>
            {missing.cover.map((c) => (
              <li key={c.id}>
                <button
                  type="button"
                  className="link min-h-target text-left"
                  onClick={() => onTick(c.id, true)}
                >
                  {say('open.tick', { title: c.title })}
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
      {short.map((text) => (
        <p key={text} role="alert" className="caution mt-2" data-testid="short-schedule">
          {text}
        </p>
      ))}
      {chosen.length === 0 && !keeping.noClaim && (
        <p className="mt-2 font-semibold">{say('open.noRuleTickedNothingHas')}</p>
      )}
      <p className="hint mt-1">
        {say('open.whichRuleYouMustMeet', {
          siteVersion:
            siteVersion !== null
              ? say('open.howReadingsJudgedVersionSites', { siteVersion })
              : say('open.howReadingsJudgedUsualPolicy'),
        })}
      </p>
    </fieldset>
  );
}
