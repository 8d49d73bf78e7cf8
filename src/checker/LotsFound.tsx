import { say } from '@/messages/say';
import type { Table } from '@/features/record/view';
import { PrintTable } from '@/features/record/ui/Record';
import type { OpenedLots } from './open-file';

const Part = ({ title, table }: { title: string; table: Table }) => (
  <section className="mt-5">
    <h2>{title}</h2>
    <PrintTable table={table} label={title} />
    {table.more && <p className="hint">{table.more}</p>}
  </section>
);

/** What became of the compost, worked out again from a site file. */
export function LotsFound({ opened: { lots, digest } }: { opened: OpenedLots }) {
  return (
    <div data-testid="lots-check">
      <section className="border-[1.6px] border-ink px-4 py-3 mt-4">
        <h2>{say('checker.lotsWorkedOut')}</h2>
        <p className="mt-1">{say('checker.lotsNoChain')}</p>
        <p className="mt-1 break-all">
          <b>{say('checker.sha256ThisFile')}</b> {digest}
        </p>
      </section>
      <Part title={say('record.afterTheHeat')} table={lots.lots} />
      <Part title={say('checker.testsWorkedOut')} table={lots.tests} />
      <Part title={say('store.whereItWent')} table={lots.outs} />
    </div>
  );
}
