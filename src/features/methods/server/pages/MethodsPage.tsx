import { TEMPLATES, templatesOf } from '@/core/advice/templates';
import { statusOfBatch } from '@/core/status/batch-status';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { Methods } from '../../ui/Methods';

export async function MethodsPage() {
  const s = await loadPageContext();
  const live = s.board.filter((d) => !statusOfBatch(d, s.now).isGone);
  const rows = templatesOf(s.siteState.templates).map((template) => ({
    template,
    ships: TEMPLATES.some((t) => t.id === template.id),
    changed: TEMPLATES.some((t) => t.id === template.id) && s.siteState.templates.has(template.id),
    heaps: live.filter((d) => d.situation.template.id === template.id).map((d) => d.name ?? d.code),
  }));
  return (
    <PageShell s={s} place="methods">
      <Methods rows={rows} by={s.prefs.by} />
    </PageShell>
  );
}
