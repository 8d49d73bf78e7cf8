import { say } from '@/messages/say';
import Link from 'next/link';

const PAGES = [
  ['/store', 'Stock'],
  ['/store/materials', 'Materials'],
  ['/store/gate', 'At the gate'],
  ['/store/suppliers', 'Suppliers'],
] as const;

/** The pages of the store, and the one thing that is done most. */
export const StoreNav = ({ here }: { here: (typeof PAGES)[number][1] }) => (
  <div className="flex flex-wrap gap-x-5 gap-y-2 items-center">
    <nav aria-label={say('store.pagesOfTheStore')} className="flex flex-wrap gap-x-5">
      {PAGES.map(([href, name]) => (
        <Link
          key={href}
          prefetch={false}
          href={href}
          aria-current={name === here ? 'page' : undefined}
          className={`inline-flex items-center min-h-target pointer-coarse:min-h-key text-control ${name === here ? 'font-bold border-b-[3px] border-ink' : 'link'}`}
        >
          {name}
        </Link>
      ))}
    </nav>
    <Link
      prefetch={false}
      href="/store/take-in"
      className="btn key ml-auto max-sm:ml-0 max-sm:w-full !min-h-key"
    >
      {say('store.takeInALoad')}
    </Link>
  </div>
);
