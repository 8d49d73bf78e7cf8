import { localInput } from '@/core/quantity/calendar';
import { TakeIn } from '../../ui/TakeIn';
import { materialOptions } from '../../view';
import { DraftScope } from '@/ui/draft';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { storeOf } from '../queries';

export async function TakeInPage() {
  const s = await loadPageContext();
  const store = await storeOf(s.site.id);
  const of = (pick: (l: (typeof store.loads)[number]) => string | null | undefined): string[] =>
    [...new Set(store.loads.flatMap((l) => pick(l) ?? []))].sort();
  const places = [
    ...new Set([
      ...of((l) => l.where),
      ...(store.map?.map.slots ?? []).filter((x) => x.kind === 'store').map((x) => x.name),
    ]),
  ];
  return (
    <PageShell s={s} place="store">
      <DraftScope name="take-in">
        <TakeIn
          materials={materialOptions(store, s.locale)}
          measures={store.measures}
          suppliers={of((l) => l.load.supplier)}
          places={places}
          by={s.prefs.by}
          mayAccept={s.records}
          nowLocal={localInput(s.site.timeZone, s.now)}
          nowMs={s.now}
        />
      </DraftScope>
    </PageShell>
  );
}
