import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { PlanPage as default } from '@/features/plan/server/pages/PlanPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.plan.name;
  },
};
