import { hotOf } from '@/core/advice/situation';
import { hotWords } from '@/telling/status/hot';
import { Card } from '../../ui/Card';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function FireCardPage() {
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
