'use client';
import { say } from '@/messages/say';

/** The sheet that goes to the laboratory with a sample: who drew it, and whose hands it went through. */
export function Custody({
  lines,
}: {
  lines: readonly { readonly name: string; readonly value: string }[];
}) {
  return (
    <div className="px-5 max-sm:px-4 py-5 max-w-[760px] flex flex-col gap-4">
      <h1>{say('lots.custodySheet')}</h1>
      <dl>
        {lines.map((l) => (
          <div
            key={l.name}
            className="grid grid-cols-[180px_1fr] gap-2 border-b border-rule py-1.5"
          >
            <dt className="font-semibold">{l.name}</dt>
            <dd className="break-all">{l.value || '________________'}</dd>
          </div>
        ))}
      </dl>
      <table className="w-full text-left border-collapse">
        <thead>
          <tr>
            {(['handedBy', 'takenBy', 'dateAndTime', 'condition'] as const).map((k) => (
              <th key={k} className="border border-ink px-2 py-1 text-hint">
                {say('lots.custody', { column: k })}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[1, 2, 3, 4].map((row) => (
            <tr key={row}>
              {[1, 2, 3, 4].map((cell) => (
                <td key={cell} className="border border-ink h-12" />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <button type="button" className="btn w-fit print:hidden" onClick={() => window.print()}>
        {say('labels.print')}
      </button>
    </div>
  );
}
