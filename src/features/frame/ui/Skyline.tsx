'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { Mound, type MoundProps } from '@/charts/Mound';
import { useOnPage } from '@/ui/useOnPage';

export type SkylineHeap = MoundProps & { readonly says: string };

/**
 * Heaps by bay above the ground line, the one in view lifted. Each is a link with its standing in words. A page that crosses the
 * wire says what they are in a few numbers; the drawing is made of them on either side.
 */
export function Skyline({
  heaps,
  others,
  active,
}: {
  heaps: readonly SkylineHeap[];
  /** How many more stand in the yard. */ others: number;
  active?: string;
}) {
  const onPage = useOnPage();
  const step = heaps.length > 12 ? 46 : 70;
  const width = Math.max(heaps.length * step + 20, 200);
  const largest = Math.max(...heaps.map((h) => h.volume), 1);
  return (
    <nav
      aria-label={say('frame.batchesByBay')}
      className="relative overflow-x-auto min-w-0 flex-1 flex items-end"
    >
      <svg width={width} height={96} viewBox={`0 0 ${width} 96`} className="block flex-none">
        {heaps.map((heap, i) => {
          const chosen = heap.id === active;
          const x = 10 + step * (i + 0.5);
          return (
            <Link
              key={heap.id}
              prefetch={false}
              href={`/batch/${heap.id}`}
              aria-label={heap.says}
              aria-current={chosen ? 'page' : undefined}
            >
              <title>{heap.says}</title>
              <rect x={x - step / 2} y={0} width={step} height={94} fill="transparent" />
              {chosen && (
                <path
                  d={`M${x - 33} 94h66`}
                  stroke="var(--color-ink)"
                  strokeWidth={1.4}
                  strokeDasharray="3 3"
                />
              )}
              <g className={chosen ? 'lift' : undefined}>
                {onPage && (
                  <Mound
                    heap={heap}
                    place={{
                      x,
                      base: chosen ? 87 : 94,
                      maxW: step - 4,
                      maxH: 44,
                      largest,
                      small: true,
                      chosen,
                    }}
                  />
                )}
              </g>
            </Link>
          );
        })}
      </svg>
      {others > 0 && (
        <Link prefetch={false} href="/" className="link text-note mb-2 whitespace-nowrap">
          {say('frame.more', { others })}
        </Link>
      )}
    </nav>
  );
}
