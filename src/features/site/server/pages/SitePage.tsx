import { redirect } from 'next/navigation';
import { hasSite } from '../queries';
import { NameSite } from '../../ui/NameSite';

export async function SitePage() {
  if (await hasSite()) redirect('/');
  return <NameSite />;
}
