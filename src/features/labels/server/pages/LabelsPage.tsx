import { say } from '@/messages/say';
import { headers } from 'next/headers';
import { heapPicture } from '@/telling/status/picture';
import { positionText } from '@/core/words/position';
import { dayText } from '@/core/quantity/format';
import { Labels } from '../../ui/Labels';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function LabelsPage({
  searchParams,
}: {
  searchParams: Promise<{ readonly heaps?: string }>;
}) {
  const [asked, s, head] = [await searchParams, await loadPageContext(), await headers()];
  const wanted = (asked.heaps ?? '').split(',').filter(Boolean);
  const origin = `${head.get('x-forwarded-proto') ?? 'http'}://${head.get('x-forwarded-host') ?? head.get('host') ?? 'localhost'}`;
  const flags = s.board
    .filter((d) => d.state !== 'released')
    .map((d) => ({
      id: d.id,
      code: d.code,
      name: d.name ?? d.code,
      picture: heapPicture(d, s.locale),
      line: [
        positionText(d.position),
        d.builtAt === null
          ? say('labels.stillBeingBuilt')
          : say('labels.since2', { builtAt: dayText(s.site.timeZone, d.builtAt) }),
      ]
        .filter(Boolean)
        .join(' · '),
    }));
  return (
    <PageShell s={s} place="labels">
      <Labels flags={flags} origin={origin} wanted={wanted} />
    </PageShell>
  );
}
