import type { Metadata } from 'next';
import { PLACES } from '@/core/words/places';

export { BenchPage as default } from '@/features/bench/server/pages/BenchPage';
export const dynamic = 'force-dynamic';
export const metadata: Metadata = {
  get title() {
    return PLACES.bench.name;
  },
};
