import { Problems } from '@/ui/Field';
import { useNamedEntry, type HeapRef } from '@/entry/ui/useEntry';

const nothing = (): void => undefined;

/** Checks what a trainee logged: from then on it counts. */
export function CheckEntry({
  heap,
  entry,
  label,
}: {
  heap: HeapRef;
  /** The entry that is checked. */ entry: string;
  label: string;
}) {
  const check = useNamedEntry('entry-check', label, heap, nothing);
  return (
    <>
      <button
        type="button"
        className="btn mt-1"
        disabled={check.busy}
        onClick={() => check.save({ target: entry })}
      >
        {label}
      </button>
      <Problems list={check.problems} />
    </>
  );
}
