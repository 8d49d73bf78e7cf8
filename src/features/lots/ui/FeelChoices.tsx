'use client';
import { say } from '@/messages/say';
import { SMELLS, SQUEEZES } from '@/core/log/kinds/vocabulary';
import { SMELL_WORDS, SQUEEZE_WORDS, type Smell, type Squeeze } from '@/core/words/feel';
import { Choices } from '@/ui/Choices';

type Props<T extends string> = {
  readonly value: T | '';
  readonly onChange: (value: T | '') => void;
  readonly optional?: boolean;
};

/** How a handful answers the hand that squeezes it. */
export const SqueezeChoice = (props: Props<Squeeze>) => (
  <Choices
    {...props}
    label={say('lots.squeeze')}
    columns={4}
    options={SQUEEZES.map((value) => ({
      value,
      label: SQUEEZE_WORDS[value].word,
      hint: SQUEEZE_WORDS[value].means,
    }))}
  />
);

/** What it smells of. */
export const SmellChoice = (props: Props<Smell>) => (
  <Choices
    {...props}
    label={say('round.smell')}
    columns={4}
    options={SMELLS.map((value) => ({ value, label: SMELL_WORDS[value] }))}
  />
);
