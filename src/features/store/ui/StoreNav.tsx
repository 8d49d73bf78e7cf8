import { say } from '@/messages/say';
import Link from 'next/link';
import { PLACES, type PlaceId } from '@/core/words/places';

const PAGES = [
  'store',
  'loads',
  'materials',
  'gate',
  'suppliers',
] as const satisfies readonly PlaceId[];
const nameOf = (page: (typeof PAGES)[number]): string =>
  page === 'store' ? say('store.inStock') : PLACES[page].name;

/** The pages of the store, and the one thing that is done most. */
export const StoreNav = ({ here }: { here: (typeof PAGES)[number] }) => (
  <div className="flex flex-wrap gap-x-5 gap-y-2 items-center">
    <nav aria-label={say('store.pagesOfMaterials')} className="flex flex-wrap gap-x-5">
      {PAGES.map((page) => (
        <Link
          key={page}
          prefetch={false}
          href={PLACES[page].href}
          aria-current={page === here ? 'page' : undefined}
          className={`inline-flex items-center min-h-target pointer-coarse:min-h-key text-control ${page === here ? 'font-bold border-b-[3px] border-ink' : 'link'}`}
        >
          {nameOf(page)}
        </Link>
      ))}
    </nav>
    <Link
      prefetch={false}
      href="/store/take-in"
      className="btn key ml-auto max-sm:ml-0 max-sm:w-full !min-h-key"
    >
      {say('store.logALoad')}
    </Link>
  </div>
);
