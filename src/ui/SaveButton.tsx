'use client';

import { say } from '@/messages/say';
/** Saves what a form holds. Where it cannot yet, it says what is missing beside the button. */
export function SaveButton({
  label,
  busy,
  missing,
  onSave,
  className = 'btn key !min-h-glove w-full',
}: {
  label: string;
  busy: boolean;
  /** What stands in the way, as a sentence; null: nothing. */ missing: string | null | undefined;
  onSave: () => void;
  className?: string;
}) {
  return (
    <>
      <button
        type="button"
        className={className}
        disabled={busy || Boolean(missing)}
        onClick={onSave}
      >
        {busy ? say('controls.saving') : label}
      </button>
      {missing && !busy && (
        <p className="hint font-semibold" role="status" data-testid="missing">
          {missing}
        </p>
      )}
    </>
  );
}

/** What a form says that does not know who fills it in. */
export const whoIsMissing = (by: string): string | null =>
  by.trim() === '' ? say('controls.sayWhoDidIt') : null;
