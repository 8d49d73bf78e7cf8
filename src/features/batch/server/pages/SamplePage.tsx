import Link from 'next/link';
import { say } from '@/messages/say';
import { assessBatch } from '@/core/snapshot/assess-batch';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { sampleBatch } from '../../sample';
import { BatchScreen } from '../../ui/BatchScreen';
import { showBatch } from '../queries';

/** A made-up batch, worked out like any other and saved nowhere. */
export async function SamplePage() {
  const s = await loadPageContext();
  const state = sampleBatch(s.now);
  const assessment = assessBatch(state, s.site, s.siteState, s.now);
  const shown = showBatch(
    { state, assessment, site: s.site, siteState: s.siteState, board: [], cn: null },
    s.locale,
  );
  const { state: _state, digest: _digest, ...screen } = shown;
  return (
    <PageShell s={s} place="sample">
      <aside className="px-4 py-3 bg-marker border-b-[1.6px] border-ink flex flex-wrap gap-x-5 gap-y-2 items-center">
        <p className="font-semibold">{say('batch.sampleSays')}</p>
        <Link href="/start" className="btn">
          {say('batch.startYourOwn')}
        </Link>
        <Link href="/" className="btn">
          {say('batch.throwTheSampleAway')}
        </Link>
      </aside>
      <BatchScreen
        {...screen}
        opens={{ rounds: false, strictness: false, beyond: false }}
        id={state.id}
        version="sample"
        actions={null}
        went={null}
        kin={null}
        links={null}
        logBar={null}
        log={null}
      />
    </PageShell>
  );
}
