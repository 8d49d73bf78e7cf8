import { Suppliers } from '../../ui/Suppliers';
import { suppliersView } from '../../view';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { storeOf } from '../queries';

const DAY_MS = 86_400_000;

export async function SuppliersPage({
  searchParams,
}: {
  searchParams: Promise<{ days?: string }>;
}) {
  const [{ days: asked }, s] = [await searchParams, await loadPageContext()];
  const days = Math.min(36_500, Math.max(1, Math.round(Number(asked)) || 365));
  return (
    <PageShell s={s} place="store">
      <Suppliers
        view={suppliersView(
          await storeOf(s.site.id),
          s.board,
          s.now - days * DAY_MS,
          s.now + 1,
          s.locale,
        )}
        days={days}
      />
    </PageShell>
  );
}
