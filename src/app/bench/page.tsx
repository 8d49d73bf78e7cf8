import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';
import { benchView } from '@/features/bench/server/queries';
import { Bench } from '@/features/bench/ui/Bench';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: PLACES.bench.name };

export default async function BenchPage({
  searchParams,
}: {
  searchParams: Promise<{ heap?: string; recipe?: string; lay?: string }>;
}) {
  const [{ heap, recipe, lay }, s] = [await searchParams, await loadPageContext()];
  const view = await benchView(s.site.id, s.board, heap ?? null, s.siteState, s.locale);
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
