import { PageShell } from '@/features/frame/server/PageShell';
import { loadPageContext } from '@/features/frame/server/queries';
import { ConnectPhone } from '../../ui/ConnectPhone';
import { phoneAddresses } from '../queries';

export async function PhonePage() {
  const [s, addresses] = await Promise.all([loadPageContext(), phoneAddresses()]);
  return (
    <PageShell s={s} place="phone">
      <ConnectPhone addresses={addresses} />
    </PageShell>
  );
}
