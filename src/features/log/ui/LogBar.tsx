'use client';
import { say } from '@/messages/say';
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
    get label() {
      return say('log.finishAdding');
    },
    title: (n) => say('log.finishAdding2', { n }),
    mark: 'check',
    key: 'c',
    form: CloseForm,
  },
  turn: {
    get label() {
      return say('log.turnedIt');
    },
    title: (n) => say('log.wasTurned', { n }),
    mark: 'turn',
    key: 't',
    form: TurnForm,
  },
  water: {
    get label() {
      return say('log.watered');
    },
    title: (n) => say('log.wasWatered', { n }),
    mark: 'water',
    key: 'w',
    form: WaterForm,
  },
  add: {
    get label() {
      return say('log.added');
    },
    title: (n) => say('log.somethingWasAddedTo', { n }),
    mark: 'add',
    key: 'a',
    form: AddForm,
  },
  observe: {
    get label() {
      return say('log.moistureAndSmell2');
    },
    title: (n) => say('log.moistureAndSmellOf', { n }),
    mark: 'squeeze',
    key: 's',
    form: ObserveForm,
  },
  note: {
    get label() {
      return say('log.note');
    },
    title: (n) => say('log.noteOn', { n }),
    mark: 'note',
    key: 'n',
    form: NoteForm,
  },
  mend: {
    get label() {
      return say('log.otherChange');
    },
    get hint() {
      return say('log.coveredMadeBiggerFoodBuried');
    },
    title: (n) => say('log.somethingWasChangedAt', { n }),
    mark: 'note',
    form: FixForm,
  },
  size: {
    get label() {
      return say('log.measured');
    },
    get hint() {
      return say('log.withTapeOrByEye');
    },
    title: (n) => say('log.sizeOf', { n }),
    mark: 'flag',
    form: SizeForm,
  },
  move: {
    get label() {
      return say('log.moved');
    },
    get hint() {
      return say('log.toAnotherBayOrStretch');
    },
    title: (n) => say('log.wasMoved', { n }),
    mark: 'move',
    form: MoveForm,
  },
  join: {
    get label() {
      return say('log.joined');
    },
    get hint() {
      return say('log.anotherBatchWentInto');
    },
    title: (n) => say('log.anotherBatchWasJoined', { n }),
    mark: 'move',
    key: 'j',
    form: JoinForm,
  },
  split: {
    get label() {
      return say('log.split');
    },
    get hint() {
      return say('log.aPartBatchOwn');
    },
    title: (n) => say('log.aPartWasSplitOff', { n }),
    mark: 'move',
    form: SplitForm,
  },
  stack: {
    get label() {
      return say('log.stacked');
    },
    get hint() {
      return say('log.twoBatchesInOnePlace');
    },
    title: (n) => say('log.sharesItsPlace', { n }),
    mark: 'move',
    form: StackForm,
  },
  transfer: {
    get label() {
      return say('log.removed3');
    },
    get hint() {
      return say('log.leachateOversRinseWaterBiochar');
    },
    title: (n) => say('log.somethingWasRemovedFrom', { n }),
    mark: 'water',
    form: TransferForm,
  },
  method: {
    get label() {
      return say('log.method');
    },
    get hint() {
      return say('log.whenTurnedWhatExpect');
    },
    title: (n) => say('log.methodOf', { n }),
    mark: 'turn',
    form: MethodForm,
  },
  life: {
    get label() {
      return say('log.holdReadyFinish');
    },
    get hint() {
      return say('log.byYourDecision');
    },
    title: (n) => say('log.statusOf', { n }),
    mark: 'check',
    form: StandingInLife,
  },
  bay: {
    get label() {
      return say('log.bayNeeded');
    },
    get hint() {
      return say('log.byWhichDay');
    },
    title: (n) => say('log.theBayNeeded', { n }),
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
            {say('log.buildIt')}
          </Link>
        )}
        <Link
          prefetch={false}
          href={`/round#${heap.id}`}
          className={`btn ${building ? '' : 'key'} !min-h-key !px-3.5 ${building ? '' : 'max-sm:hidden'}`}
        >
          <Mark name="probe" />
          {say('log.logTemperatures')}
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
          {say('log.moveJoinSplit')}
        </button>
        <Link prefetch={false} href={`/batch/${heap.id}/places`} className="link text-small">
          {say('log.probePointsAndLocation')}
        </Link>
        <Sheet open={more} onOpenChange={setMore} title={say('log.moreOf', { name: heap.name })}>
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
        {building ? say('log.buildIt') : say('log.logTemperatures')}
      </Link>
      {works.map((n) => (
        <button key={n} type="button" className="btn !px-1" onClick={() => open(n)}>
          {n === 'close' ? say('log.finishAdding') : SHEETS[n].label}
        </button>
      ))}
      <button type="button" className="btn !px-1" onClick={more}>
        {say('log.more')}
      </button>
    </div>
  );
}
