'use client';
import { useEffect, useState } from 'react';
import { say } from '@/messages/say';
import { askServer } from '@/ui/ask-server';
import type { CheckEffect, CheckPreview } from '../check-preview';
import type { AskedCheck } from '../input';

const PAUSE_MS = 350;

/** Asks what a check, or voiding one, would do. Null: the server does not say, or nothing is asked. */
export function useCheckPreview(asked: AskedCheck | null): CheckPreview | 'asking' | null {
  const text = asked && JSON.stringify(asked);
  const [held, setHeld] = useState<{ text: string | null; answer: CheckPreview | null }>({
    text: null,
    answer: null,
  });
  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      if (text !== null)
        askServer<CheckPreview | null>('/api/ask/check', JSON.parse(text) as object).then(
          (answer) => {
            if (current) setHeld({ text, answer });
          },
          () => {
            if (current) setHeld({ text, answer: null });
          },
        );
    }, PAUSE_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [text]);
  return held.text === text ? held.answer : 'asking';
}

const EffectList = ({ list }: { list: readonly CheckEffect[] }) => (
  <ul>
    {list.map((h) => (
      <li key={h.heap} className="text-small leading-[1.35]">
        <b className="font-semibold">{h.heap}</b>:{' '}
        {h.effects.map((e) => `${e.rule}: ${e.text}`).join(' ')}
      </li>
    ))}
  </ul>
);

/** What it changes as it is, or that it changes nothing. */
function Counts({
  preview: { counts, heaps },
  isVoid,
}: {
  preview: CheckPreview;
  isVoid: boolean;
}) {
  if (counts.length === 0)
    return (
      <p>
        {isVoid
          ? say('instruments.voidedNothingChanges')
          : say('instruments.savedAsCorrectsReadingsFrom', {
              heaps: heaps === 0 ? 'noHeap' : 'other',
            })}
      </p>
    );
  return (
    <>
      <p className="font-semibold">
        {isVoid ? say('instruments.voidedChanges') : say('instruments.savedAsChanges')}
      </p>
      <EffectList list={counts} />
    </>
  );
}

/** What it would change if the thermometer had been as far off since the check before. */
function Doubts({ preview: { doubts, heaps, ...p } }: { preview: CheckPreview }) {
  const since = p.since ?? say('instruments.itWasFirstUsed');
  if (doubts.length > 0)
    return (
      <>
        <p className="font-semibold">{say('instruments.ifWasAsFarOff', { since })}</p>
        <EffectList list={doubts} />
        <p className="text-hint">{say('instruments.thisChangesNothingByItself')}</p>
      </>
    );
  return (
    heaps > 0 && <p className="text-hint">{say('instruments.evenIfWasAsFar', { since, heaps })}</p>
  );
}

/** What the check does from now on, and what it puts in doubt behind; what voiding one does. */
export function CheckEffects({
  preview,
  isVoid = false,
}: {
  preview: CheckPreview | 'asking' | null;
  isVoid?: boolean;
}) {
  if (preview === 'asking' || preview === null)
    return (
      <p className="hint" aria-live="polite">
        {preview === null
          ? say('instruments.theServerDoesNotAnswer')
          : say('instruments.workingOutEffectOnEvery')}
      </p>
    );
  const costs = preview.counts.some((h) => h.effects.some((e) => e.costs));
  return (
    <div
      aria-live="polite"
      data-testid="check-effects"
      className={`border-[1.6px] border-ink px-3 py-2 flex flex-col gap-2 ${costs ? 'bg-marker' : 'bg-paper'}`}
    >
      <Counts preview={preview} isVoid={isVoid} />
      {!isVoid && <Doubts preview={preview} />}
    </div>
  );
}
