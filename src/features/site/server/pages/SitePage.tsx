import { redirect } from 'next/navigation';
import { mayNameSite } from '../queries';
import { NameSite } from '../../ui/NameSite';

export async function SitePage() {
  if (!(await mayNameSite())) redirect('/refused');
  return <NameSite />;
}
