import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { readBatchState } from '@/db/repositories/states';
import type { BatchId } from '@/core/log/ids';
import { shortScheduleTexts } from '@/core/advice/schedule';
import { assessBatch, assessUnderTerms } from '@/core/snapshot/assess-batch';
import { resolvePolicy } from '@/core/evidence/policy';
import { ownRulesOf } from '@/core/formats/batch-file';
import { type SiteState, type Terms } from '@/core/log/fold';
import { whenText } from '@/core/quantity/format';
import { countryOfSite } from '@/core/rules/country';
import { findRule, RULE_LIBRARY, LIBRARY_EDITION } from '@/core/rules/library';
import { fitsBatch, keepingOf } from '@/core/rules/propose';
import type { Locale } from '@/core/words/note';
import { policyText } from '@/core/words/policy';
import { theDb } from '@/db/context';
import { snapshotRepo } from '@/db/repositories/snapshots';
import type { Site } from '@/db/repositories/site';
import { ruleView, standingCell } from '../view';
import { firstOf, lastOf, valueAt } from '@/core/quantity/present';

/** The site's own rules as they stand now, each with its version on it. */
export const latestOwn = (siteState: SiteState) =>
  [...siteState.rules.values()].map((versions) => {
    const last = lastOf(versions);
    return { ...last.rule, version: last.version };
  });

export const siteStateOf = async (site: Site): Promise<SiteState> =>
  await snapshotRepo(theDb()).siteState(site);

/** What the site works to: rules, own rules with their versions, policy with its versions. */
export async function siteRulesScreen(site: Site, { timeZone, unit, now }: Locale) {
  const state = await siteStateOf(site);
  const terms = state.terms.at(-1) ?? null;
  const own = latestOwn(state);
  return {
    edition: LIBRARY_EDITION,
    library: RULE_LIBRARY.map((r) => ruleView(r, unit)),
    own: own.map((r) => ({
      draft: r,
      view: ruleView(firstOf(ownRulesOf([r])), unit, r.version),
      versions: valueAt(state.rules, r.id).map((v) =>
        say('rules.version', {
          version: v.version,
          since: whenText(timeZone, v.since, now),
          by: v.by,
        }),
      ),
    })),
    chosen: terms ? [...terms.rules] : null,
    country: countryOfSite(state.country, timeZone),
    policy: resolvePolicy(terms?.policy),
    version: terms?.version ?? null,
    versions: [...state.terms].reverse().map((t) => ({
      version: t.version,
      when: whenText(timeZone, t.since, now),
      by: t.by,
      policy: policyText(resolvePolicy(t.policy as Parameters<typeof resolvePolicy>[0]), unit),
      rules: t.rules.length,
    })),
  };
}

/** How a heap that is still building stands to every rule. */
const NO_CLOCK = {
  get word() {
    return say('rules.noClockYet');
  },
  get text() {
    return say('rules.stillBeingBuilt');
  },
  proven: false,
  kept: false,
};

/** Terms of a batch side by side: each version it has had, what the site works to now, and the standing under each. Null: no such batch. */
export async function batchTermsScreen(id: BatchId, site: Site, locale: Locale) {
  const [state, siteState] = [await readBatchState(theDb(), id), await siteStateOf(site)];
  if (!state) return null;
  const own = latestOwn(siteState);
  const inForce = lastOf(state.terms);
  const siteTerms = siteState.terms.at(-1);
  const ahead: Terms | null =
    siteTerms && siteTerms.version !== inForce.siteVersion
      ? {
          version: inForce.version + 1,
          since: locale.now,
          by: '',
          policy: siteTerms.policy,
          rules: inForce.rules,
          ownRules: own,
          siteVersion: siteTerms.version,
        }
      : null;
  const columns = [...state.terms, ...(ahead ? [ahead] : [])];
  const reckonings = columns.map((terms) =>
    assessUnderTerms(state, terms, site, siteState, locale.now),
  );
  const ids = [...new Set(columns.flatMap((t) => t.rules))];
  const ruleOf = (ruleId: string) =>
    findRule(
      ruleId,
      ownRulesOf([
        ...lastOf(columns).ownRules,
        ...own.filter((r) => !lastOf(columns).ownRules.some((o) => o.id === r.id)),
      ]),
    );
  const kept = new Set(
    assessBatch(state, site, siteState, locale.now)
      ?.rules.filter((a) => a.present !== undefined)
      .map((a) => `${a.terms.version} ${a.rule.id}`),
  );
  const keeping = keepingOf(state.opened.method, state.template);
  return {
    name: state.opened.name ?? state.opened.code,
    columns: columns.map((t) => ({
      version: t.version,
      ahead: t === ahead,
      inForce: t === inForce,
      policy: policyText(
        resolvePolicy(t.policy as Parameters<typeof resolvePolicy>[0]),
        locale.unit,
      ),
      says:
        t === ahead
          ? say('rules.versionSiteNotUsedHere', { siteVersion: String(t.siteVersion) })
          : t.version === 1
            ? say('rules.startedWithIt', { by: t.by })
            : say('rules.since', {
                since: whenText(locale.timeZone, t.since, locale.now),
                by: t.by,
              }),
    })),
    rows: ids.map((ruleId) => ({
      id: ruleId,
      title: libraryText(ruleOf(ruleId)?.title ?? ruleId),
      cells: columns.map((t, i) => {
        if (!t.rules.includes(ruleId)) return null;
        const assessed = reckonings[i]?.rules.find((a) => a.rule.id === ruleId);
        return assessed
          ? { ...standingCell(assessed, locale), kept: kept.has(`${t.version} ${ruleId}`) }
          : NO_CLOCK;
      }),
    })),
    offered: [...RULE_LIBRARY, ...ownRulesOf(own)]
      .filter((r) => fitsBatch(r, keeping) || inForce.rules.includes(r.id))
      .map((r) => ruleView(r, locale.unit)),
    rules: inForce.rules,
    short: state.template
      ? shortScheduleTexts(
          state.template,
          inForce.rules.flatMap((ruleId) => {
            const rule = ruleOf(ruleId);
            return rule ? [{ title: libraryText(rule.title), rule }] : [];
          }),
        )
      : [],
    policy: resolvePolicy(inForce.policy),
    sitePolicy: siteTerms ? resolvePolicy(siteTerms.policy) : null,
    siteVersion: siteTerms?.version ?? null,
    ownRules: own,
  };
}
