'use client';
import { say } from '@/messages/say';
import { useOpened } from '@/ui/useOpened';
import { LoadedDisclosure } from '@/ui/LoadedDisclosure';
import { useKeys } from '@/ui/useKeys';

type ReadingsTable = {
  readonly points: readonly string[];
  readonly rows: readonly {
    readonly when: string;
    readonly value: string;
    readonly cells: readonly string[];
  }[];
  readonly more: number;
};

/** What stands behind the picture; the key D opens and closes it. */
export function DataTable({ batch, version }: { batch: string; version: string }) {
  const [open, setOpen] = useOpened('readings');
  useKeys((key) => {
    if (key === 'd') setOpen(!open);
  });
  return (
    <LoadedDisclosure
      summary={say('batch.readingsAsATable')}
      href={`/api/batch/${batch}/rounds`}
      read={(answer) => answer as ReadingsTable}
      version={version}
      name="readings"
      testId="data-table"
    >
      {(table) => <Rounds table={table} />}
    </LoadedDisclosure>
  );
}

function Rounds({ table }: { table: ReadingsTable }) {
  return (
    <>
      {/* A wide table scrolls by itself, and by keyboard. */}

      <div
        className="relative overflow-x-auto"
        tabIndex={0}
        role="group"
        aria-label={say('batch.readingsByCheck')}
      >
        <table className="text-hint border-collapse min-w-full">
          <thead>
            <tr className="border-b-[1.6px] border-ink text-left">
              <th className="pr-4 py-1">{say('batch.check')}</th>
              <th className="pr-4">{say('batch.countsAs')}</th>
              {table.points.map((x) => (
                <th key={x} className="pr-4">
                  {x}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.rows.map((r) => (
              <tr key={r.when} className="border-b border-rule">
                <th className="pr-4 py-1 text-left font-medium whitespace-nowrap">{r.when}</th>
                <td className="pr-4 whitespace-nowrap font-semibold">{r.value}</td>
                {r.cells.map((c, i) => (
                  <td key={i} className="pr-4">
                    {c}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {table.more > 0 && (
        <p className="q text-note mt-1">{say('batch.earlierChecksInCsv', { more: table.more })}</p>
      )}
    </>
  );
}
