import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { People, type TypedInvitation } from '../../ui/People';
import { peopleView } from '../people-view';

export async function PeoplePage({
  searchParams,
}: {
  searchParams: Promise<{ problem?: string; sent?: string } & TypedInvitation>;
}) {
  const [{ problem, sent, ...typed }, s] = [
    await searchParams,
    await loadPageContext('manage-people'),
  ];
  const { traineesCountAtOnce } = s.siteState;
  return (
    <PageShell s={s} place="more">
      <People
        view={await peopleView(s.site, {
          problem,
          typed,
          isSent: sent !== undefined,
          traineesCountAtOnce,
        })}
      />
    </PageShell>
  );
}
