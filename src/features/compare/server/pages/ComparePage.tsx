import { statusOfBatch } from '@/core/status/batch-status';
import { toComparableBatch } from '@/core/snapshot/batch-snapshot';
import { loadComparedBatches } from '../queries';
import { Compare } from '../../ui/Compare';
import { compareView } from '../../view';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function ComparePage({
  searchParams,
}: {
  searchParams: Promise<{ h?: string | string[] }>;
}) {
  const [{ h }, s] = [await searchParams, await loadPageContext()];
  const read = s.board.filter((d) => d.latest !== null);
  const asked = (Array.isArray(h) ? h : h === undefined ? [] : [h]).flatMap((id) =>
    read.flatMap((d) => (d.id === id ? [d.id] : [])),
  );
  // At first sight: the two that are furthest on among those that are hot.
  const chosen =
    h === undefined
      ? [...read]
          .filter((d) => d.situation.stage.code === 'hot')
          .sort((a, b) => (a.builtAt ?? 0) - (b.builtAt ?? 0))
          .slice(0, 3)
          .map((d) => d.id)
      : asked.slice(0, 6);
  const compared = await loadComparedBatches(chosen, s.site, s.siteState, s.now);
  const comparables = read.map(toComparableBatch);
  const first = comparables.find((c) => c.id === chosen[0]);
  return (
    <PageShell s={s} place="compare">
      <Compare
        heaps={read.map((d) => ({
          id: d.id,
          name: d.name ?? d.code,
          gone: statusOfBatch(d, s.now).isGone,
        }))}
        chosen={chosen}
        view={compareView(compared, first, comparables, s.locale)}
        unit={`°${s.unit}`}
      />
    </PageShell>
  );
}
