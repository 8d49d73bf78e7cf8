import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';
import { hotOf } from '@/core/advice/situation';
import { hotWords } from '@/core/advice/words';
import { Card } from '@/features/fire/ui/Card';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: PLACES.fire.name };

export default async function FirePage() {
  const s = await loadPageContext();
  const hot = s.board.flatMap((d) => {
    const h = hotOf({ ...d.situation, now: s.now });
    return h && h.level !== 'warn'
      ? [{ name: d.name ?? d.code, text: hotWords(h, s.locale).why }]
      : [];
  });
  return (
    <PageShell s={s} place="fire">
      <Card card={s.siteState.fireCard} site={s.site.name} by={s.prefs.by} hot={hot} />
    </PageShell>
  );
}
