import { Gate } from '../../ui/Gate';
import { permissionLines } from '../../view';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { storeOf } from '../queries';

export async function GatePage() {
  const s = await loadPageContext();
  const store = await storeOf(s.site.id);
  const materials = [...store.materials.values()]
    .map(({ id, name }) => ({ id, name }))
    .sort((a, b) => (a.name < b.name ? -1 : 1));
  return (
    <PageShell s={s} place="store">
      <Gate
        lines={store.acceptance}
        own={store.acceptanceOwn}
        materials={materials}
        measures={store.measures}
        permitted={permissionLines(store, s.locale)}
        timeZone={s.site.timeZone}
        by={s.prefs.by}
      />
    </PageShell>
  );
}
