import { say } from '@/messages/say';
import { Inspection } from '../../ui/Inspection';
import { visitInspection } from '../inspection';

export async function InspectPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const view = await visitInspection(token);
  return (
    <main id="main" className="p-5 max-w-[980px] mx-auto">
      {view ? <Inspection view={view} token={token} /> : <h1>{say('record.linkClosed')}</h1>}
    </main>
  );
}
