import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { siteRulesScreen } from '../queries';
import { SiteRules } from '../../ui/SiteRules';

export async function RulesPage() {
  const s = await loadPageContext();
  const screen = await siteRulesScreen(s.site, s.locale);
  return (
    <PageShell s={s} place="rules">
      <SiteRules key={screen.version} {...screen} by={s.prefs.by} unit={s.unit} />
    </PageShell>
  );
}
