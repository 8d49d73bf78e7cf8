import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { RulesPage as default } from '@/features/rules/server/pages/RulesPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.rules.name;
  },
};
