import { localInput } from '@/core/quantity/calendar';
import { countryOfSite } from '@/core/rules/country';
import { BringIn } from '../../ui/BringIn';
import { proposal } from '@/features/open/proposal';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function BringInPage() {
  const s = await loadPageContext();
  return (
    <PageShell s={s} place="bring">
      <BringIn
        by={s.prefs.by}
        unit={s.unit}
        timeZone={s.site.timeZone}
        zones={Intl.supportedValuesOf('timeZone')}
        proposed={proposal(s.board)}
        nowLocal={localInput(s.site.timeZone, s.now)}
        siteName={s.site.name}
        country={countryOfSite(s.siteState.country, s.site.timeZone)}
        siteRules={s.siteState.terms.at(-1)?.rules ?? []}
      />
    </PageShell>
  );
}
