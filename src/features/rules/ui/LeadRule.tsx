'use client';

type Named = readonly { readonly id: string; readonly title: string }[];

/** Of several rules, the one that leads: by it a heap is told on the yard and at the head of its page. It stands first. */
export function LeadRule({ rules, named, onChange }: { rules: readonly string[]; named: Named; onChange: (rules: string[]) => void }) {
  if (rules.length < 2) return null;
  return (
    <label className="label">Which of them leads?
      <select className="field mt-1" value={rules[0]} onChange={(e) => onChange([e.target.value, ...rules.filter((r) => r !== e.target.value)])}>
        {rules.map((id) => <option key={id} value={id}>{named.find((r) => r.id === id)?.title ?? id}</option>)}
      </select>
      <span className="hint block font-normal mt-1">By it a heap is told on the yard and at the head of its page; the others stand below it.</span>
    </label>
  );
}
