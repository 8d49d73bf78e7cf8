'use client';
import { say } from '@/messages/say';
import { ToggleGroup } from 'radix-ui';
import { useId } from 'react';

type Choice<T extends string> = {
  readonly value: T;
  readonly label: string;
  readonly hint?: string;
};
type Props<T extends string> = {
  readonly label: string;
  readonly value: T | '';
  readonly options: readonly Choice<T>[];
  readonly onChange: (value: T | '') => void;
  readonly columns?: 2 | 3 | 4;
  /** It need not be answered: a link takes the answer away again. */
  readonly optional?: boolean;
};

/** One of a few, as large buttons; the word carries the choice, not the colour. Pressing the lit one leaves it lit: a choice is changed by choosing another. */
export function Choices<T extends string>({
  label,
  value,
  options,
  onChange,
  columns = 2,
  optional = false,
}: Props<T>) {
  const id = useId();
  return (
    <div>
      <span className="flex justify-between items-baseline gap-3">
        <span id={id} className="label">
          {label}
        </span>
        {optional && value !== '' && (
          <button
            type="button"
            className="link text-note target-in-text"
            onClick={() => onChange('')}
          >
            {say('controls.clear')}
            <span className="sr-only"> {label}</span>
          </button>
        )}
      </span>
      <ToggleGroup.Root
        type="single"
        value={value}
        onValueChange={(v) => {
          if (v !== '') onChange(v as T);
        }}
        aria-labelledby={id}
        className={`grid gap-2 ${columns === 2 ? 'grid-cols-2' : columns === 3 ? 'grid-cols-3' : 'grid-cols-2 sm:grid-cols-4'}`}
      >
        {options.map((o) => (
          <ToggleGroup.Item key={o.value} value={o.value} className="choice flex-col">
            <span>{o.label}</span>
            {o.hint && <span className="text-note font-normal">{o.hint}</span>}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
