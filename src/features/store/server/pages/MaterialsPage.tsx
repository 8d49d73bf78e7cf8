import { localInput } from '@/core/quantity/calendar';
import { Materials } from '../../ui/Materials';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { storeOf } from '../queries';

export async function MaterialsPage() {
  const s = await loadPageContext();
  const store = await storeOf(s.site.id);
  const rows = [...store.materials.values()].map((material) => ({
    material,
    own: store.ownMaterials.has(material.id),
  }));
  return (
    <PageShell s={s} place="store">
      <Materials
        rows={rows}
        by={s.prefs.by}
        today={{ local: localInput(s.site.timeZone, s.now), ms: s.now }}
      />
    </PageShell>
  );
}
