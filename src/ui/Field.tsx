import { useId, type InputHTMLAttributes, type ReactNode } from 'react';

/** A labelled input with its hint and its problem, both tied to it. */
export function Field({
  label,
  hint,
  problem,
  unit,
  ...input
}: {
  label: string;
  hint?: ReactNode;
  problem?: string | undefined;
  unit?: string;
} & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <div>
      <label className="label" htmlFor={id}>
        {label}
        {unit ? `, ${unit}` : ''}
      </label>
      <input
        id={id}
        className="field"
        aria-invalid={problem ? true : undefined}
        aria-describedby={`${id}-h`}
        {...input}
      />
      <p id={`${id}-h`} className="hint mt-1">
        {problem ? (
          <b role="alert" className="text-ink">
            {problem}
          </b>
        ) : (
          hint
        )}
      </p>
    </div>
  );
}

/** What a form could not do, in plain sentences. */
export function Problems({ list }: { list: readonly { path: string; message: string }[] }) {
  if (list.length === 0) return null;
  return (
    <div role="alert" className="border-[1.6px] border-ink bg-marker px-3 py-2 font-semibold">
      {list.map((p) => (
        <p key={p.path + p.message}>{p.message}</p>
      ))}
    </div>
  );
}
