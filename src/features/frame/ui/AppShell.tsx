import Link from 'next/link';
import type { ReactNode } from 'react';
import { foldPath } from '@/charts/mound';
import { DeviceBar } from './DeviceBar';
import { Keys } from './Keys';
import { Switches } from './Switches';

const LOGO = { x0: 3, w: 24, base: 25, h: 19, lean: 0.05 };

type Place = {
  readonly href: string;
  readonly name: string;
  /** On a phone's bar, under this word. */ readonly short?: string;
  readonly what?: string;
};
const PLACES = [
  { href: '/', name: 'Yard', short: 'Yard' },
  { href: '/round', name: 'Round', short: 'Round' },
  { href: '/bench', name: 'Bench', short: 'Bench' },
  { href: '/plan', name: 'Plan', short: 'Plan' },
  { href: '/store', name: 'Store', what: 'loads, materials, suppliers' },
  { href: '/map', name: 'Map', what: 'bays and rows, what stands where' },
  { href: '/records', name: 'Records', what: 'what was proven' },
  { href: '/instruments', name: 'Instruments', what: 'thermometers and checks' },
  { href: '/open', name: 'Open a heap', what: 'new, or already under way' },
  { href: '/compare', name: 'Compare', what: 'heaps side by side, by age' },
  { href: '/rules', name: 'Rules', what: 'what must be proven' },
  { href: '/methods', name: 'Methods', what: 'when heaps are turned' },
  { href: '/crew', name: 'Crew', what: 'who, machine, limits, chores' },
  { href: '/fire', name: 'Fire card', what: 'whom to call' },
  { href: '/bring', name: 'Bring in', what: 'files of readings' },
  { href: '/labels', name: 'Flags', what: 'labels to print' },
] as const satisfies readonly Place[];
/** Places that a phone's bar has no room for. */
export const MORE = (PLACES as readonly Place[]).filter((p) => p.short === undefined);
const MORE_PLACE = { href: '/more', name: 'More', short: 'More' } as const;
/** So many places stand in the soil of a laptop; the rest is under More there too. */
const IN_SOIL = 8;
export type PlaceName = (typeof PLACES)[number]['name'] | 'More';

/** The landscape that every page stands in: sky, ground line, soil with the places in it. */
export function AppShell({
  site,
  madeAt,
  keep,
  place,
  sky,
  right,
  prefs,
  bays,
  wholeOnPhone = false,
  children,
}: {
  site: string;
  /** When the page was made. */ madeAt: number;
  keep: readonly string[];
  place: PlaceName;
  sky: ReactNode;
  right: ReactNode;
  prefs: { unit: string; volume: string; light: string | null };
  bays: Readonly<Record<string, string>>;
  wholeOnPhone?: boolean;
  children: ReactNode;
}) {
  return (
    <div className="min-h-dvh flex flex-col">
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-10 focus:bg-sheet focus:p-2"
      >
        Skip to the page
      </a>
      <DeviceBar madeAt={madeAt} keep={keep} />
      <header
        className={`${wholeOnPhone ? 'max-sm:hidden ' : ''}flex items-end gap-5 px-5 h-24 max-sm:h-16 max-sm:px-4 border-b-[1.8px] border-ink overflow-hidden`}
      >
        <Link
          prefetch={false}
          href="/"
          className="self-center flex flex-col gap-1 min-w-[150px] max-sm:min-w-0"
        >
          <span className="flex items-end gap-2 disp font-bold text-[18px] leading-[17px]">
            <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden="true">
              <path d="M1 25h28" stroke="currentColor" strokeWidth="2" />
              <path d={`${foldPath(LOGO, 1)}Z`} fill="currentColor" />
              {[0.34, 0.67].map((k) => (
                <path
                  key={k}
                  d={foldPath(LOGO, k)}
                  fill="none"
                  stroke="var(--color-paper)"
                  strokeWidth="1.5"
                />
              ))}
            </svg>
            <span>
              Zealous
              <br />
              Heap
            </span>
          </span>
          <span className="text-[13.5px] text-ink-2 max-sm:hidden">{site}</span>
        </Link>
        <div className="flex-1 min-w-0 self-end flex max-sm:hidden">{sky}</div>
        <div className="self-center text-right text-[13.5px] leading-[1.4] max-sm:ml-auto max-sm:text-[13px]">
          {right}
        </div>
      </header>
      <nav
        aria-label="Places"
        className={`${wholeOnPhone ? 'max-sm:hidden ' : ''}relative max-sm:sticky max-sm:bottom-0 max-sm:order-last max-sm:z-10 max-sm:justify-between bg-soil text-soil-text flex items-stretch flex-wrap min-h-[38px] px-3 max-sm:px-0 text-[15px]`}
      >
        <svg
          className="absolute inset-0 pointer-events-none"
          width="100%"
          height="100%"
          aria-hidden="true"
        >
          <rect width="100%" height="100%" fill="url(#stones)" />
        </svg>
        {[...(PLACES as readonly Place[]), MORE_PLACE].map((p, i) => {
          const under = p === MORE_PLACE;
          const here = p.name === place;
          // On a phone more of them are under More than on a laptop.
          const within = under && MORE.some((m) => m.name === place);
          const withinWide =
            under && (PLACES as readonly Place[]).slice(IN_SOIL).some((m) => m.name === place);
          return (
            <Link
              key={p.href}
              prefetch={false}
              href={p.href}
              aria-current={p.name === place ? 'page' : undefined}
              className={`relative flex items-center px-4 max-sm:px-0 max-sm:flex-1 max-sm:justify-center min-h-[38px] pointer-coarse:min-h-[48px] max-sm:min-h-[48px] max-sm:text-[14px] font-medium focus-visible:outline-soil-text focus-visible:-outline-offset-4 ${p.short === undefined ? 'max-sm:hidden' : ''} ${!under && i >= IN_SOIL ? 'sm:hidden' : ''} ${here || withinWide ? 'bg-paper text-ink font-bold mt-1.5' : within ? 'max-sm:bg-paper max-sm:text-ink max-sm:font-bold max-sm:mt-1.5' : ''}`}
            >
              <span className="max-sm:hidden">{p.name}</span>
              <span className="sm:hidden">{p.short}</span>
            </Link>
          );
        })}
        <span className="flex-1 max-sm:hidden" />
        <div className="relative self-center py-1 max-sm:hidden flex items-center gap-3">
          <Switches {...prefs} />
          <Keys bays={bays} unit={prefs.unit} />
        </div>
      </nav>
      <main id="main" className="flex-1 flex flex-col">
        {children}
      </main>
      {!wholeOnPhone && (
        <footer className="sm:hidden bg-soil px-4 py-3">
          <Switches {...prefs} />
        </footer>
      )}
    </div>
  );
}
