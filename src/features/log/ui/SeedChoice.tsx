'use client';
import { say } from '@/messages/say';
import { Choices } from '@/ui/Choices';

/** The clock of seeds asks a question of its own; 'I don't know' means that there are some. */
export type SeedAnswer = 'yes' | 'no' | 'unknown' | '';

export const seedsOf = (answer: SeedAnswer): { seeds?: boolean } =>
  answer === '' ? {} : { seeds: answer !== 'no' };

export const SeedChoice = ({
  value,
  onChange,
}: {
  value: SeedAnswer;
  onChange: (v: SeedAnswer) => void;
}) => (
  <Choices
    optional
    label={say('log.liveWeedSeedsIn')}
    value={value}
    onChange={onChange}
    columns={3}
    options={[
      { value: 'yes', label: say('log.yes') },
      { value: 'no', label: say('log.no') },
      { value: 'unknown', label: say('log.dontKnow') },
    ]}
  />
);
