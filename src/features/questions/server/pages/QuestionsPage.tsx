import { localInput } from '@/core/quantity/calendar';
import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { Questions } from '../../ui/Questions';
import { loadQuestions } from '../queries';

/** What speaks against the evidence of the site, and where a manager settles it. */
export async function QuestionsPage() {
  const s = await loadPageContext();
  const heap = {
    ...{ id: '', name: s.site.name, by: s.prefs.by, unit: s.unit },
    nowLocal: localInput(s.site.timeZone, s.now),
  };
  return (
    <PageShell s={s} place="questions">
      <Questions lines={await loadQuestions(s)} heap={heap} manages={s.manages} />
    </PageShell>
  );
}
