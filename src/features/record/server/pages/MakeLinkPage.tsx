import { notFound } from 'next/navigation';
import { say } from '@/messages/say';
import { dayText, listText } from '@/core/quantity/format';
import { localInput } from '@/core/quantity/calendar';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { listOpenLinks } from '../inspection';
import { MakeLink } from '../../ui/MakeLink';

/** Makes a link by which somebody from outside reads some batches. @param params ids of batches with commas between them */
export async function MakeLinkPage({ params }: { params: Promise<{ batches: string }> }) {
  const [{ batches }, s] = [await params, await loadPageContext()];
  const ids = decodeURIComponent(batches).split(',');
  const chosen = s.board.filter((b) => ids.includes(b.id));
  if (chosen.length === 0) notFound();
  const named = new Map(s.board.map((b) => [b.id, b.name ?? b.code]));
  const links = await listOpenLinks(s.site, s.now);
  return (
    <PageShell s={s} place="records">
      <MakeLink
        batches={chosen.map((b) => ({ id: b.id, name: b.name ?? b.code }))}
        site={{
          ...{ id: '', name: s.site.name, by: s.prefs.by, unit: s.unit },
          nowLocal: localInput(s.site.timeZone, s.now),
        }}
        open={links.map(({ id, by, data }) => ({
          id,
          text: say('record.openLink', {
            batches: listText(data.batches.map((b) => named.get(b) ?? '')),
            until: dayText(s.site.timeZone, data.until),
            by,
          }),
        }))}
        timeZone={s.site.timeZone}
        labels={{
          openLinks: say('record.openLinks'),
          close: say('record.closeLink'),
          whyClose: say('record.whyClose'),
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
