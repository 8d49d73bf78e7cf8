'use client';
import { say } from '@/messages/say';
import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { listPlaces, navigationPlaces } from '@/core/words/places';
import { askServer } from '@/ui/ask-server';
import type { NamedBatch } from '../named-batch';

type Props = { readonly open: boolean; readonly onOpenChange: (open: boolean) => void };

const DO = ['open', 'take-in', 'labels', 'bring'] as const;
const GROUP =
  '[&_[cmdk-group-heading]]:text-note [&_[cmdk-group-heading]]:text-ink-2 [&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2';
const ITEM =
  'px-3 min-h-target flex items-center gap-2 cursor-pointer data-[selected=true]:bg-marker';

/** Go to a place or a batch, do something there, or look for what was typed: all by typing a few letters of it. */
export function Palette({ open, onOpenChange }: Props) {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  const [batches, setBatches] = useState<readonly NamedBatch[]>([]);
  useEffect(() => {
    // Without a signal the places are there all the same.
    if (open)
      void askServer<readonly NamedBatch[]>('/api/ask/batches').then(setBatches, () => undefined);
  }, [open]);
  const go = (href: string): void => {
    onOpenChange(false);
    setTyped('');
    router.push(href);
  };
  return (
    <Command.Dialog
      open={open}
      onOpenChange={onOpenChange}
      label={say('frame.goToDoOrFind')}
      overlayClassName="fixed inset-0 bg-[#0b0a06]/50 z-20"
      contentClassName="lift fixed z-30 bg-sheet text-ink border-[1.6px] border-ink w-[min(600px,100vw)] left-1/2 -translate-x-1/2 top-[12dvh]"
    >
      <Command.Input
        value={typed}
        onValueChange={setTyped}
        placeholder={say('frame.goToDoOrFind')}
        className="w-full px-3 min-h-glove border-b-[1.6px] border-ink text-lead bg-sheet outline-none"
      />
      <Offers typed={typed.trim()} batches={batches} onGo={go} />
    </Command.Dialog>
  );
}

/** What can be gone to and done, narrowed by what is typed. */
function Offers({
  typed,
  batches,
  onGo,
}: {
  typed: string;
  batches: readonly NamedBatch[];
  onGo: (href: string) => void;
}) {
  const acts = listPlaces().filter((p) => DO.some((id) => id === p.id));
  return (
    <Command.List className="max-h-[56dvh] overflow-y-auto pb-2">
      <Command.Empty className="px-3 py-3">{say('frame.nothingCalledSo')}</Command.Empty>
      {typed !== '' && (
        <Command.Item
          forceMount
          value={`find ${typed}`}
          className={ITEM}
          onSelect={() => onGo(`/find?q=${encodeURIComponent(typed)}`)}
        >
          {say('frame.findEverywhere', { typed: typed })}
        </Command.Item>
      )}
      <Command.Group heading={say('frame.batches')} className={GROUP}>
        {batches.flatMap((b) => offersOf(b, onGo))}
      </Command.Group>
      <Command.Group heading={say('frame.doIt')} className={GROUP}>
        {acts.map((p) => (
          <Command.Item
            key={p.href}
            value={`do ${p.name}`}
            className={ITEM}
            onSelect={() => onGo(p.href)}
          >
            {p.name}
          </Command.Item>
        ))}
      </Command.Group>
      <Command.Group heading={say('frame.goTo')} className={GROUP}>
        {navigationPlaces().map((p) => (
          <Command.Item
            key={p.href}
            value={`go ${p.name} ${p.about ?? ''}`}
            className={ITEM}
            onSelect={() => onGo(p.href)}
          >
            {p.name} {p.about && <span className="q">{p.about}</span>}
          </Command.Item>
        ))}
      </Command.Group>
    </Command.List>
  );
}

/** What can be done with a batch. */
const offersOf = (b: NamedBatch, onGo: (href: string) => void) => [
  <Command.Item
    key={b.id}
    value={`${b.name} ${b.id}`}
    className={ITEM}
    onSelect={() => onGo(`/batch/${b.id}`)}
  >
    <b className="disp">{b.name}</b> <span className="q">{b.place}</span>
  </Command.Item>,
  <Command.Item
    key={`paper ${b.id}`}
    value={`${say('frame.typeReadingsOf', { name: b.name })} ${b.id}`}
    className={ITEM}
    onSelect={() => onGo(`/batch/${b.id}/paper`)}
  >
    {say('frame.typeReadingsOf', { name: b.name })}
  </Command.Item>,
];
