import { benchView } from '../queries';
import { Bench } from '../../ui/Bench';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function BenchPage({
  searchParams,
}: {
  searchParams: Promise<{ heap?: string; recipe?: string; lay?: string }>;
}) {
  const [{ heap, recipe, lay }, s] = [await searchParams, await loadPageContext()];
  const view = await benchView(s.site, s.board, heap ?? null, s.siteState, s.locale);
  return (
    <PageShell s={s} place="bench" {...(heap ? { active: heap } : {})}>
      <Bench
        key={heap ?? recipe ?? 'new'}
        view={view}
        start={recipe ? { recipe } : null}
        lay={lay ?? null}
        by={s.prefs.by}
      />
    </PageShell>
  );
}
