'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { ExportButton } from '@/ui/ExportButton';
import { SortTable, type SortColumn } from '@/ui/SortTable';
import type { LoadRow } from '../view';
import { StoreNav } from './StoreNav';

const columns = (): readonly SortColumn<LoadRow>[] => [
  { id: 'at', title: say('store.receivedOn'), text: (l) => l.day, order: (l) => l.at },
  {
    id: 'name',
    title: say('store.material'),
    text: (l) => l.name,
    cell: (l) => (
      <Link
        prefetch={false}
        className="link font-[650] min-h-target inline-flex items-center"
        href={`/store/${l.id}`}
      >
        {l.name}
      </Link>
    ),
  },
  { id: 'supplier', title: say('store.supplier'), text: (l) => l.supplier, choice: true },
  { id: 'amount', title: say('store.howMuch'), text: (l) => l.amount, order: (l) => l.litres },
  { id: 'left', title: say('store.leftNow'), text: (l) => l.left, order: (l) => l.leftLitres },
  { id: 'where', title: say('store.place'), text: (l) => l.where, choice: true },
  { id: 'season', title: say('store.season'), text: (l) => l.season, choice: true },
];

/** Every load that the site ever received, to be filtered, ordered and exported. */
export function Loads({ rows }: { rows: readonly LoadRow[] }) {
  const own = columns();
  return (
    <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-4">
      <h1>{say('store.allLoads')}</h1>
      <StoreNav here="loads" />
      <SortTable
        name={say('store.allLoads')}
        rows={rows}
        columns={own}
        first={{ id: 'at', desc: true }}
        canTick={() => true}
        act={(ticked, all) => (
          <p className="print:hidden">
            <ExportButton ticked={ticked} all={all} columns={own} file="loads.csv" />
          </p>
        )}
      />
    </div>
  );
}
