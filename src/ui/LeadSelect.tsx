'use client';

type Named = readonly { readonly id: string; readonly title: string }[];

/** Of several that were chosen, the one that leads: it stands first. Nothing to choose where there is but one. */
export function LeadSelect({
  label,
  hint,
  chosen,
  named,
  onLead,
}: {
  label: string;
  hint?: string;
  /** The leading one first. */ chosen: readonly string[];
  named: Named;
  onLead: (id: string) => void;
}) {
  if (chosen.length < 2) return null;
  return (
    <div className="mt-2 max-w-[520px]">
      <label className="label" htmlFor="lead">
        {label}
      </label>
      <select
        id="lead"
        className="field"
        value={chosen[0]}
        onChange={(e) => onLead(e.target.value)}
      >
        {chosen.map((id) => (
          <option key={id} value={id}>
            {named.find((n) => n.id === id)?.title ?? id}
          </option>
        ))}
      </select>
      {hint && <p className="hint mt-1">{hint}</p>}
    </div>
  );
}

/** The same, with this one in front. */
export const withLead = (chosen: readonly string[], id: string): string[] => [
  id,
  ...chosen.filter((c) => c !== id),
];
