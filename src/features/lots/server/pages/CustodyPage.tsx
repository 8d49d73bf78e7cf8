import { say } from '@/messages/say';
import { notFound } from 'next/navigation';
import { whenText } from '@/core/quantity/format';
import { nameOfMatter } from '../../matter';
import { Custody } from '../../ui/Custody';
import { lotsGiven } from '../queries';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';

export async function CustodyPage({ params }: { params: Promise<{ id: string }> }) {
  const [{ id }, s] = [await params, await loadPageContext()];
  const given = await lotsGiven(s);
  const sample = given.state.samples.find((x) => x.id === id);
  if (!sample) notFound();
  const { composite, places, laboratory } = sample.drawn.data;
  return (
    <PageShell s={s} place="lots">
      <Custody
        lines={[
          { name: say('record.site'), value: s.site.name },
          { name: say('record.lot'), value: nameOfMatter(given, sample.lot) },
          { name: say('lots.sampleNumber'), value: id },
          { name: say('lots.drawnAt'), value: whenText(s.site.timeZone, sample.at) },
          { name: say('lots.drawnBy'), value: sample.by },
          {
            name: say('log.how'),
            value: composite ? say('lots.compositeOf', { composite }) : '',
          },
          { name: say('lots.fromWhere'), value: places ?? '' },
          { name: say('store.laboratory2'), value: laboratory ?? '' },
        ]}
      />
    </PageShell>
  );
}
