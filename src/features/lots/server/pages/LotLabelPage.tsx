import { headers } from 'next/headers';
import { notFound } from 'next/navigation';
import { dayText } from '@/core/quantity/format';
import { publicLotView } from '../../public-view';
import { LotLabel } from '../../ui/LotLabel';
import { codePicture } from '../code';
import { lotsGiven } from '../queries';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function LotLabelPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id }, s, asked] = [await params, await loadPageContext(), await headers()];
  const given = await lotsGiven(s);
  const view = publicLotView(given, s.site.name, id);
  if (!view) notFound();
  const host = asked.get('host') ?? 'localhost';
  const address = `${asked.get('x-forwarded-proto') ?? 'http'}://${host}/p/${id}`;
  return (
    <PageShell s={s} place="lots">
      <LotLabel
        view={view}
        code={await codePicture(address)}
        address={address}
        date={dayText(s.site.timeZone, s.now)}
      />
    </PageShell>
  );
}
