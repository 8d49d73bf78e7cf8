import { readBatchState } from '@/db/repositories/states';
import { assessRule } from '@/core/evidence/verdict';
import { assessBatch } from '@/core/snapshot/assess-batch';
import { requireSite, theDb } from '@/db/context';
import { logRepo } from '@/db/repositories/log';
import { now } from '@/platform/clock';
import { currentUnits } from '@/messages/say';
import { parseRule } from '../input';
import type { RulePreview } from '../rule-preview';
import { ruleView, standingCell } from '../view';
import { siteStateOf } from './queries';

/** What a rule would have said about the site's batches, reckoned and not kept. */
export async function previewRule(draft: unknown): Promise<RulePreview> {
  const [site, at] = [await requireSite(), now()];
  const parsed = parseRule(draft);
  if (!parsed.ok) return parsed;
  const unit = currentUnits().temp;
  const siteState = await siteStateOf(site);
  const batches = [];
  for (const id of await logRepo(theDb()).batchIds(site.id)) {
    const state = await readBatchState(theDb(), id);
    if (!state || !parsed.rule.methods.includes(state.opened.method)) continue;
    const assessment = assessBatch(state, site, siteState, at);
    if (!assessment) continue;
    batches.push({
      code: state.opened.code,
      name: state.opened.name ?? state.opened.code,
      ...standingCell(
        { assessment: assessRule(assessment.prepared, parsed.rule) },
        { timeZone: site.timeZone, unit, now: at },
      ),
    });
  }
  return { ok: true, text: ruleView(parsed.rule, unit).text, batches, fits: batches.length };
}
