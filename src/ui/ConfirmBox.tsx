import type { ReactNode } from 'react';

/** What speaks against saving, to be ticked by whoever saves it all the same. */
export const ConfirmBox = ({
  legend,
  text,
  confirm,
  checked,
  onChange,
  testId,
  children,
}: {
  legend: string;
  /** What speaks against it. */ text: string;
  /** What is said by the tick. */ confirm: string;
  checked: boolean;
  onChange: (checked: boolean) => void;
  testId: string;
  /** What else stands in the box. */ children?: ReactNode;
}) => (
  <fieldset className="border-[1.6px] border-ink bg-marker px-3 py-2" data-testid={testId}>
    <legend className="px-1 font-semibold">{legend}</legend>
    <label className="flex gap-3 items-start py-1.5 min-h-target">
      <input
        type="checkbox"
        className="size-6 flex-none"
        checked={checked}
        onChange={(e) => onChange(e.target.checked)}
      />
      <span>
        {text} <b className="font-semibold">{confirm}</b>
      </span>
    </label>
    {children}
  </fieldset>
);
