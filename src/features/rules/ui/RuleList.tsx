import { say } from '@/messages/say';
import { upperFirst } from '@/core/quantity/format';
import { memoryText } from '@/core/rules/text';
import type { RuleView } from '../view';

const METHOD_WORD = {
  get turned() {
    return say('rules.turned');
  },
  get static() {
    return say('rules.static');
  },
  get vessel() {
    return say('rules.inVessel');
  },
} as const;

/** Rules by where they come from, each with a tick and its text to read. */
export function RuleList({
  rules,
  ticked,
  onTick,
  notes = {},
}: {
  rules: readonly RuleView[];
  ticked: ReadonlySet<string>;
  onTick: (id: string, on: boolean) => void;
  notes?: Readonly<Record<string, string>>;
}) {
  const places = [...new Set(rules.map((r) => r.jurisdiction))];
  return (
    <div className="flex flex-col gap-3">
      {places.map((place) => (
        <section key={place} aria-label={place}>
          <h2 className="!text-lead first-letter:uppercase">{place}</h2>
          <ul>
            {rules
              .filter((r) => r.jurisdiction === place)
              .map((r) => (
                <li
                  key={r.id}
                  className="border-b border-rule flex max-sm:block items-start gap-3 py-1"
                >
                  <label className="flex gap-3 items-start py-1.5 min-h-target flex-1">
                    <input
                      type="checkbox"
                      className="size-5 mt-0.5 flex-none"
                      checked={ticked.has(r.id)}
                      onChange={(e) => onTick(r.id, e.target.checked)}
                    />
                    <span>
                      <b className="font-[650]">{r.title}</b>
                      {r.version !== null ? say('rules.version2', { version: r.version }) : ''}
                      <span className="block hint">
                        {r.methods.map((m) => METHOD_WORD[m]).join(', ')}
                        {notes[r.id] ? ` · ${notes[r.id]}` : ''}
                      </span>
                    </span>
                  </label>
                  <details className="max-w-[58%] max-sm:max-w-none max-sm:pl-8 text-small open:flex-[1.4]">
                    <summary className="link min-h-target flex items-center justify-end max-sm:justify-start">
                      {say('rules.readIt')}
                    </summary>
                    <p>{upperFirst(r.text)}.</p>
                    <p className="q mt-1">
                      {r.source}.{r.fromMemory && ` ${memoryText()}`}
                    </p>
                    <p className="q">{r.clock}</p>
                    {r.conditions.length > 0 && (
                      <p className="q">
                        {say('rules.itAlsoAsksForThis', {
                          conditions: r.conditions.join('; '),
                        })}
                      </p>
                    )}
                    {r.caution && <p className="q">{r.caution}</p>}
                  </details>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
