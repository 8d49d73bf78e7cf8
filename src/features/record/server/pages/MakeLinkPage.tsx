import { notFound } from 'next/navigation';
import { say } from '@/messages/say';
import { localInput } from '@/core/quantity/calendar';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { MakeLink } from '../../ui/MakeLink';

/** Makes a link by which somebody from outside reads some batches. @param params ids of batches with commas between them */
export async function MakeLinkPage({ params }: { params: Promise<{ batches: string }> }) {
  const [{ batches }, s] = [await params, await loadPageContext()];
  const ids = decodeURIComponent(batches).split(',');
  const chosen = s.board.filter((b) => ids.includes(b.id));
  if (chosen.length === 0) notFound();
  return (
    <PageShell s={s} place="records">
      <MakeLink
        batches={chosen.map((b) => ({ id: b.id, name: b.name ?? b.code }))}
        site={{
          ...{ id: '', name: s.site.name, by: s.prefs.by, unit: s.unit },
          nowLocal: localInput(s.site.timeZone, s.now),
        }}
        labels={{
          title: say('record.inspectorsLink'),
          how: say('record.inspectHow'),
          until: say('record.inspectUntil'),
          forWhom: say('record.inspectFor'),
          make: say('record.makeLink'),
          chooseDay: say('record.chooseDay'),
          ready: say('record.linkReady'),
          copy: say('record.copyLink'),
        }}
      />
    </PageShell>
  );
}
