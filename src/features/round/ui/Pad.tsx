'use client';
import { say } from '@/messages/say';
import { Delete } from 'lucide-react';
import type { Key } from '../pad';

const KEYS: readonly Key[] = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', 'back'];

/** Keys that take a glove: at least 56 px high on the smallest phone, 72 and more where there is room. */
export function Pad({ onKey, sign = false }: { onKey: (key: Key) => void; sign?: boolean }) {
  return (
    <div
      className="grid grid-cols-3 gap-[7px] flex-1 auto-rows-fr min-h-[252px] max-h-[344px]"
      data-testid="pad"
    >
      {KEYS.map((k) => (
        <button
          key={k}
          type="button"
          aria-label={
            k === 'back'
              ? say('round.deleteTheLastDigit')
              : k === '.'
                ? say('round.decimalPoint')
                : k
          }
          onClick={() => onKey(k)}
          className="min-h-glove border-[1.5px] border-ink rounded-glove bg-sheet disp font-[650] text-[32px] leading-none flex items-center justify-center active:bg-sunk touch-manipulation select-none"
        >
          {k === 'back' ? <Delete size={30} aria-hidden="true" /> : k}
        </button>
      ))}
      {sign && (
        <button
          type="button"
          onClick={() => onKey('-')}
          className="col-span-3 min-h-glove border-[1.5px] border-ink rounded-glove bg-sheet text-subhead font-semibold"
        >
          {say('round.belowZero')}
        </button>
      )}
    </div>
  );
}
