import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { MethodsPage as default } from '@/features/methods/server/pages/MethodsPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.methods.name;
  },
};
