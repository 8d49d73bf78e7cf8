import type { Metadata } from 'next';
import { logEntry } from '@/features/entry/server/actions';
import { FrameFor } from '@/features/frame/server/FrameFor';
import { setting } from '@/features/frame/server/queries';
import { siteRulesScreen } from '@/features/rules/server/queries';
import { SiteRules } from '@/features/rules/ui/SiteRules';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Rules' };

export default async function RulesPage() {
  const s = await setting();
  const screen = await siteRulesScreen(s.site, s.locale);
  return (
    <FrameFor s={s} place="Rules">
      <SiteRules key={screen.version} {...screen} by={s.prefs.by} unit={s.unit} keep={logEntry} />
    </FrameFor>
  );
}
