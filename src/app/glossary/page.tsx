import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { GlossaryPage as default } from '@/features/help/server/pages/HelpPages';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.glossary.name;
  },
};
