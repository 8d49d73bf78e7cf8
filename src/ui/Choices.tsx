'use client';
import { ToggleGroup } from 'radix-ui';
import { useId } from 'react';

export type Choice<T extends string> = { readonly value: T; readonly label: string; readonly hint?: string };

/** One of a few, as large buttons; the word carries the choice, not the colour. */
export function Choices<T extends string>({ label, value, options, onChange, columns = 2 }: { label: string; value: T | ''; options: readonly Choice<T>[]; onChange: (value: T | '') => void; columns?: 2 | 3 | 4 }) {
  const id = useId();
  return (
    <div>
      <span id={id} className="label">{label}</span>
      <ToggleGroup.Root type="single" value={value} onValueChange={(v) => onChange(v as T | '')} aria-labelledby={id}
        className={`grid gap-2 ${columns === 2 ? 'grid-cols-2' : columns === 3 ? 'grid-cols-3' : 'grid-cols-2 sm:grid-cols-4'}`}>
        {options.map((o) => (
          <ToggleGroup.Item key={o.value} value={o.value} className="choice flex-col">
            <span>{o.label}</span>{o.hint && <span className="text-[13px] font-normal">{o.hint}</span>}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
