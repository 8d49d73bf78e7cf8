import { localInput } from '@/core/quantity/calendar';
import { Uses } from '../../ui/Uses';
import { usesView } from '../../uses-view';
import { lotsGiven } from '../queries';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function UsesPage() {
  const s = await loadPageContext();
  const given = await lotsGiven(s);
  return (
    <PageShell s={s} place="lots">
      <Uses
        view={usesView(given)}
        site={{
          id: '',
          name: s.site.name,
          by: s.prefs.by,
          nowLocal: localInput(s.site.timeZone, s.now),
          unit: s.unit,
        }}
      />
    </PageShell>
  );
}
