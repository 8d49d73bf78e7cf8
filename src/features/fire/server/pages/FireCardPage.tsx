import { statusOfBatch } from '@/core/status/batch-status';
import { hotWords } from '@/telling/status/hot';
import { Card } from '../../ui/Card';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function FireCardPage() {
  const s = await loadPageContext();
  const hot = s.board.flatMap((d) => {
    const { danger } = statusOfBatch(d, s.now);
    return danger.level === 'fire' || danger.level === 'high'
      ? [{ name: d.name ?? d.code, text: hotWords(danger.hot, s.locale).why }]
      : [];
  });
  return (
    <PageShell s={s} place="fire">
      <Card card={s.siteState.fireCard} site={s.site.name} by={s.prefs.by} hot={hot} />
    </PageShell>
  );
}
