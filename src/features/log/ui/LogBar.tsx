'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { Mark, type MarkName } from '@/charts/marks';
import { DraftScope } from '@/ui/draft';
import { Sheet } from '@/ui/Sheet';
import { useKeys } from '@/ui/useKeys';
import { AddForm } from './AddForm';
import { BayForm } from './BayForm';
import { CloseForm } from './CloseForm';
import { FixForm } from './FixForm';
import { JoinForm } from './JoinForm';
import { MethodForm } from './MethodForm';
import { MoveForm } from '@/entry/ui/MoveForm';
import { NoteForm } from './NoteForm';
import { ObserveForm } from './ObserveForm';
import { SizeForm } from './SizeForm';
import { SplitForm } from './SplitForm';
import { StackForm } from './StackForm';
import { StandingInLife } from './StandingInLife';
import { TransferForm } from './TransferForm';
import { TurnForm } from './TurnForm';
import { WaterForm } from './WaterForm';
import type { HeapRef } from '@/entry/ui/useEntry';

type SheetName =
  | 'turn'
  | 'water'
  | 'add'
  | 'observe'
  | 'note'
  | 'close'
  | 'mend'
  | 'move'
  | 'join'
  | 'split'
  | 'stack'
  | 'transfer'
  | 'size'
  | 'method'
  | 'life'
  | 'bay';
type SheetOf = {
  label: string;
  hint?: string;
  title: (name: string) => string;
  mark: MarkName;
  key?: string;
  form: typeof TurnForm;
};
const SHEETS: Record<SheetName, SheetOf> = {
  close: {
    label: 'Close the heap',
    title: (n) => `Close ${n}`,
    mark: 'check',
    key: 'c',
    form: CloseForm,
  },
  turn: {
    label: 'Turned',
    title: (n) => `${n} was turned`,
    mark: 'turn',
    key: 't',
    form: TurnForm,
  },
  water: {
    label: 'Watered',
    title: (n) => `${n} was watered`,
    mark: 'water',
    key: 'w',
    form: WaterForm,
  },
  add: {
    label: 'Added',
    title: (n) => `Something went into ${n}`,
    mark: 'add',
    key: 'a',
    form: AddForm,
  },
  observe: {
    label: 'Felt, smelled',
    title: (n) => `What ${n} is like`,
    mark: 'squeeze',
    key: 's',
    form: ObserveForm,
  },
  note: { label: 'Note', title: (n) => `A note on ${n}`, mark: 'note', key: 'n', form: NoteForm },
  mend: {
    label: 'Changed to mend it',
    hint: 'covered, made bigger, food buried',
    title: (n) => `Something was changed at ${n}`,
    mark: 'note',
    form: FixForm,
  },
  size: {
    label: 'Measured',
    hint: 'by tape or by eye',
    title: (n) => `How big ${n} is`,
    mark: 'flag',
    form: SizeForm,
  },
  move: {
    label: 'Moved',
    hint: 'to another bay or stretch',
    title: (n) => `${n} was moved`,
    mark: 'move',
    form: MoveForm,
  },
  join: {
    label: 'Joined',
    hint: 'another heap went into it',
    title: (n) => `Another heap was joined to ${n}`,
    mark: 'move',
    key: 'j',
    form: JoinForm,
  },
  split: {
    label: 'Split',
    hint: 'a part is a heap of its own',
    title: (n) => `A part of ${n} was carried off`,
    mark: 'move',
    form: SplitForm,
  },
  stack: {
    label: 'Stacked',
    hint: 'two heaps in one place',
    title: (n) => `${n} shares its place`,
    mark: 'move',
    form: StackForm,
  },
  transfer: {
    label: 'Taken off',
    hint: 'leachate, overs, rinse water, char',
    title: (n) => `Something was taken off ${n}`,
    mark: 'water',
    form: TransferForm,
  },
  method: {
    label: 'Method',
    hint: 'when it is turned, what is expected',
    title: (n) => `How ${n} is kept`,
    mark: 'turn',
    form: MethodForm,
  },
  life: {
    label: 'Hold, ready, end',
    hint: 'by your decision',
    title: (n) => `What ${n} is now`,
    mark: 'check',
    form: StandingInLife,
  },
  bay: {
    label: 'Bay wanted',
    hint: 'by which day',
    title: (n) => `${n}’s bay is wanted`,
    mark: 'flag',
    form: BayForm,
  },
};
const MORE: readonly SheetName[] = [
  'mend',
  'size',
  'move',
  'join',
  'split',
  'stack',
  'transfer',
  'method',
  'life',
  'bay',
];

/** What can be logged of a heap, each by a button and a key. */
export function LogBar({ heap, building }: { heap: HeapRef; building: boolean }) {
  const router = useRouter();
  const [open, setOpen] = useState<SheetName | null>(null);
  const [more, setMore] = useState(false);
  const names: SheetName[] = building
    ? ['close', 'water', 'observe', 'note']
    : ['turn', 'water', 'add', 'observe', 'note'];
  // What is advised elsewhere opens its form here.
  useEffect(() => {
    const open = (): void => {
      const name = window.location.hash.slice(1) as SheetName;
      if (name in SHEETS) {
        setOpen(name);
        window.history.replaceState(null, '', window.location.pathname);
      }
    };
    open();
    window.addEventListener('hashchange', open);
    return () => window.removeEventListener('hashchange', open);
  }, []);
  useKeys((key, e) => {
    if (key === 'r') router.push(`/round#${heap.id}`);
    const name = [...names, ...MORE].find((n) => SHEETS[n].key === key);
    if (name) {
      e.preventDefault();
      setOpen(name);
    }
  });
  const sheet = open ? SHEETS[open] : null;
  return (
    <>
      <div className="flex flex-wrap gap-2.5 items-center" data-testid="log-bar">
        {building && (
          <Link
            prefetch={false}
            href={`/batch/${heap.id}/build`}
            className="btn key !min-h-key !px-3.5 max-sm:hidden"
          >
            <Mark name="add" />
            Build it
          </Link>
        )}
        <Link
          prefetch={false}
          href={`/round#${heap.id}`}
          className={`btn ${building ? '' : 'key'} !min-h-key !px-3.5 ${building ? '' : 'max-sm:hidden'}`}
        >
          <Mark name="probe" />
          Log a round
        </Link>
        {names.map((n) => (
          <button
            key={n}
            type="button"
            className="btn !min-h-key !px-3.5 max-sm:hidden"
            onClick={() => setOpen(n)}
          >
            <Mark name={SHEETS[n].mark} />
            {SHEETS[n].label}
          </button>
        ))}
        <button
          type="button"
          className="btn !min-h-key !px-3.5 max-sm:hidden"
          onClick={() => setMore(true)}
        >
          <Mark name="move" />
          Move, join, split…
        </button>
        <span className="q text-fine whitespace-nowrap max-lg:hidden">
          keys R D {names.map((n) => SHEETS[n].key!.toUpperCase()).join(' ')}
        </span>
        <Link prefetch={false} href={`/batch/${heap.id}/places`} className="link text-small">
          Places, and where it stands
        </Link>
        <Sheet open={more} onOpenChange={setMore} title={`More of ${heap.name}`}>
          <div className="grid sm:grid-cols-2 gap-2">
            {[...names.filter((n) => n !== 'turn' && n !== 'close' && n !== 'water'), ...MORE].map(
              (n) => (
                <button
                  key={n}
                  type="button"
                  className={`btn !min-h-row !justify-start !text-left ${MORE.includes(n) ? '' : 'sm:hidden'}`}
                  onClick={() => {
                    setMore(false);
                    setOpen(n);
                  }}
                >
                  <Mark name={SHEETS[n].mark} />
                  <span>
                    <span className="block">{SHEETS[n].label}</span>
                    <span className="q font-normal text-note">{SHEETS[n].hint}</span>
                  </span>
                </button>
              ),
            )}
          </div>
        </Sheet>
        <Sheet
          open={sheet !== null}
          onOpenChange={(o) => {
            if (!o) setOpen(null);
          }}
          title={sheet?.title(heap.name) ?? ''}
        >
          {sheet && (
            <DraftScope name={`${heap.id}:${open}`}>
              <sheet.form heap={heap} onDone={() => setOpen(null)} />
            </DraftScope>
          )}
        </Sheet>
      </div>
      <ThumbBar heap={heap} building={building} open={setOpen} more={() => setMore(true)} />
    </>
  );
}

/** On a phone, what is logged most stays within reach of a thumb, however far the page is scrolled. */
function ThumbBar({
  heap,
  building,
  open,
  more,
}: {
  heap: HeapRef;
  building: boolean;
  open: (name: SheetName) => void;
  more: () => void;
}) {
  const works: readonly SheetName[] = building ? ['close', 'water'] : ['turn', 'water'];
  return (
    <div
      className="sm:hidden fixed inset-x-0 bottom-[54px] z-10 bg-paper border-t-2 border-ink px-2 py-2 grid grid-cols-[1.25fr_1fr_1fr_0.8fr] gap-1.5"
      data-testid="thumb-bar"
    >
      <Link
        prefetch={false}
        href={building ? `/batch/${heap.id}/build` : `/round#${heap.id}`}
        className="btn key !px-1 text-center"
      >
        {building ? 'Build it' : 'Log a round'}
      </Link>
      {works.map((n) => (
        <button key={n} type="button" className="btn !px-1" onClick={() => open(n)}>
          {n === 'close' ? 'Close it' : SHEETS[n].label}
        </button>
      ))}
      <button type="button" className="btn !px-1" onClick={more}>
        More…
      </button>
    </div>
  );
}
