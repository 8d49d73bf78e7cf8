import { notFound } from 'next/navigation';
import { currentLanguage } from '@/messages/say';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { IntoBatch } from '../../ui/IntoBatch';

/** A table of readings into a batch that is there. */
export async function IntoBatchPage({ params }: { params: Promise<{ readonly id: string }> }) {
  const [{ id }, s] = await Promise.all([params, loadPageContext()]);
  const batch = s.board.find((d) => d.id === id);
  if (!batch) notFound();
  return (
    <PageShell s={s} place="yard" active={id}>
      <IntoBatch
        batch={{ id, name: batch.name ?? batch.code }}
        points={batch.field.places.map((p) => ({ id: p.id, label: p.label ?? p.id }))}
        probes={[...s.siteState.instruments.keys()]}
        unit={s.unit}
        timeZone={s.site.timeZone}
        zones={Intl.supportedValuesOf('timeZone')}
        by={s.prefs.by}
        dayFirst={currentLanguage() !== 'en'}
      />
    </PageShell>
  );
}
