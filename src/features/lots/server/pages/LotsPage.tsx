import { Lots } from '../../ui/Lots';
import { lotsView } from '../../view';
import { lotRefOf, lotsGiven } from '../queries';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function LotsPage() {
  const s = await loadPageContext();
  const given = await lotsGiven(s);
  const view = lotsView(given);
  const refs = Object.fromEntries(view.batches.map((b) => [b.id, lotRefOf(s, given, b.id)]));
  return (
    <PageShell s={s} place="lots">
      <Lots view={view} refs={refs} />
    </PageShell>
  );
}
