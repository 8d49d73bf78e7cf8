'use client';
import { say } from '@/messages/say';
import { useState } from 'react';
import type { PutInDoubt } from '@/core/log/kinds/vocabulary';
import type { Amount } from '@/core/log/store-shapes';
import { putInDoubts, type FoundDoubt, type PutInSource, type Room } from '@/core/mix/put-in';
import { litresText } from '@/core/words/amount';
import { BeforeSaving } from './BeforeSaving';

/** Something that may be put in, as far as it is asked about. */
type Source = {
  readonly key: string;
  readonly name: string;
  readonly left: PutInSource['left'];
  readonly ripening: string | null;
  readonly answer: string | null;
};
type Line = { readonly source: Source; readonly amount: Amount };

function moreThanLeftText({ name, left }: Source): string {
  const litres = left?.litres ?? null;
  return say('entry.putInMoreThanLeft', {
    name,
    left: litres === null ? '' : litresText(litres),
    isKnown: litres === null ? 'no' : 'yes',
  });
}

/** What is asked about one source; of what is about all together there is none. */
function sourceText(code: PutInDoubt, source: Source): string {
  const { name, answer, ripening } = source;
  if (code === 'asked-first') return say('entry.putInAsked', { name, answer: answer ?? '' });
  if (code === 'ripening') return say('entry.putInRipening', { name, ripening: ripening ?? '' });
  return moreThanLeftText(source);
}

function doubtText({ code, key }: FoundDoubt, lines: readonly Line[], room: Room | null): string {
  const source = lines.find((l) => l.source.key === key)?.source;
  return source
    ? sourceText(code, source)
    : say('entry.putInNoRoom', { litres: litresText(room?.litres ?? 0) });
}

/** What is asked before something is put in, all at once: whether it is answered, and what the entry says of it. */
export function usePutInDoubts(lines: readonly Line[], room: Room | null) {
  const [known, setKnown] = useState('');
  const found = putInDoubts(
    lines.map(({ source, amount }) => ({
      source: { ...source, isRipening: source.ripening !== null, isAsked: source.answer !== null },
      amount,
    })),
    room,
  );
  // A tick holds for what it was given for: another doubt asks anew.
  const asked = found.map((d) => `${d.code} ${d.key ?? ''}`).join(', ');
  const knowing: readonly PutInDoubt[] = [...new Set(found.map((d) => d.code))];
  return {
    texts: found.map((d) => doubtText(d, lines, room)),
    checked: asked !== '' && known === asked,
    setChecked: (checked: boolean): void => setKnown(checked ? asked : ''),
    isOpen: found.length > 0 && known !== asked,
    data: knowing.length > 0 ? { knowing } : {},
  };
}

export const PutInDoubts = ({ doubts }: { doubts: ReturnType<typeof usePutInDoubts> }) =>
  doubts.texts.length > 0 && (
    <BeforeSaving
      text={doubts.texts.join(' ')}
      known={doubts.checked}
      onKnown={doubts.setChecked}
      testId="put-in-doubts"
    />
  );
