import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';
import { logEntry } from '@/features/entry/server/actions';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { siteRulesScreen } from '@/features/rules/server/queries';
import { SiteRules } from '@/features/rules/ui/SiteRules';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: PLACES.rules.name };

export default async function RulesPage() {
  const s = await loadPageContext();
  const screen = await siteRulesScreen(s.site, s.locale);
  return (
    <PageShell s={s} place="rules">
      <SiteRules key={screen.version} {...screen} by={s.prefs.by} unit={s.unit} keep={logEntry} />
    </PageShell>
  );
}
