import { libraryText } from '@/messages/library-text';
import { localInput } from '@/core/quantity/calendar';
import { RULE_LIBRARY } from '@/core/rules/library';
import { sourceText } from '@/core/rules/text';
import { ownRulesOf } from '@/core/formats/batch-file';
import { systemOfSite } from '@/core/formats/batch-file-of';
import { leastHotVolume } from '@/core/heap/size';
import { countryOfSite } from '@/core/rules/country';
import { templatesOf } from '@/core/advice/templates';
import { earlierHeaps, proposal } from '../../proposal';
import { OpenForm } from '../../ui/OpenForm';
import { DraftScope } from '@/ui/draft';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { latestOwn, siteStateOf } from '@/features/rules/server/queries';

export async function OpenPage({ searchParams }: { searchParams: Promise<{ for?: string }> }) {
  const [{ for: wanted }, s] = [await searchParams, await loadPageContext()];
  const site = {
    id: '',
    name: s.site.name,
    by: s.prefs.by,
    nowLocal: localInput(s.site.timeZone, s.now),
    unit: s.unit,
  };
  const siteState = await siteStateOf(s.site);
  const own = latestOwn(siteState);
  const terms = siteState.terms.at(-1);
  const rules = [...RULE_LIBRARY, ...ownRulesOf(own)].map((r) => ({
    id: r.id,
    title: libraryText(r.title),
    source: sourceText(r),
    rule: r,
  }));
  return (
    <PageShell s={s} place="open">
      <DraftScope name="open">
        <OpenForm
          leastHotM3={leastHotVolume(s.siteState.work?.leastM3, systemOfSite(s.site))}
          country={countryOfSite(s.siteState.country, s.site.timeZone)}
          site={site}
          proposed={proposal(s.board)}
          codes={s.board.map((d) => d.code.toUpperCase())}
          stretchM={siteState.settings.stretchM}
          rules={rules}
          ownRules={own}
          siteTerms={
            terms ? { version: terms.version, rules: terms.rules, policy: terms.policy } : null
          }
          templates={templatesOf(siteState.templates)}
          earlier={earlierHeaps(s.board)}
          nowMs={s.now}
          forBench={wanted === 'bench'}
        />
      </DraftScope>
    </PageShell>
  );
}
