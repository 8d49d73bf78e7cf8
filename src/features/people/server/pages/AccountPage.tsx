import Link from 'next/link';
import { redirect } from 'next/navigation';
import { Account } from '../../ui/Account';
import { ownAccount } from '../own-account';

export async function AccountPage({
  searchParams,
}: {
  searchParams: Promise<{ done?: string; problem?: string; 'set-up'?: string }>;
}) {
  const view = await ownAccount(await searchParams);
  if (!view) redirect('/sign-in');
  return (
    <main id="main">
      <Link href="/" className="btn m-5 mb-0 w-fit">
        {view.site}
      </Link>
      <Account view={view} />
    </main>
  );
}
