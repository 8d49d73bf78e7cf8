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

/** What the check does from now on, and what it puts in doubt behind; what voiding one does. */
export function CheckEffects({
  preview,
  isVoid = false,
}: {
  preview: CheckPreview | 'asking' | null;
  isVoid?: boolean;
}) {
  if (preview === 'asking')
    return (
      <p className="hint" aria-live="polite">
        {say('instruments.workingOutEffectOnEvery')}
      </p>
    );
  if (preview === null)
    return (
      <p className="hint" aria-live="polite">
        {say('instruments.theServerDoesNotAnswer')}
      </p>
    );
  const { counts, doubts, since, heaps } = preview;
  return (
    <div
      aria-live="polite"
      data-testid="check-effects"
      className={`border-[1.6px] border-ink px-3 py-2 flex flex-col gap-2 ${counts.some((h) => h.effects.some((e) => e.costs)) ? 'bg-marker' : 'bg-paper'}`}
    >
      {counts.length === 0 ? (
        <p>
          {isVoid
            ? say('instruments.voidedNothingChanges')
            : say('instruments.savedAsCorrectsReadingsFrom', {
                heaps: heaps === 0 ? 'noHeap' : 'other',
              })}
        </p>
      ) : (
        <>
          <p className="font-semibold">
            {isVoid ? say('instruments.voidedChanges') : say('instruments.savedAsChanges')}
          </p>
          <EffectList list={counts} />
        </>
      )}
      {doubts.length > 0 && (
        <>
          <p className="font-semibold">
            {say('instruments.ifWasAsFarOff', {
              since: since ?? say('instruments.itWasFirstUsed'),
            })}
          </p>
          <EffectList list={doubts} />
          <p className="text-hint">{say('instruments.thisChangesNothingByItself')}</p>
        </>
      )}
      {doubts.length === 0 && heaps > 0 && !isVoid && (
        <p className="text-hint">
          {say('instruments.evenIfWasAsFar', {
            since: since ?? say('instruments.itWasFirstUsed'),
            heaps,
          })}
        </p>
      )}
    </div>
  );
}
