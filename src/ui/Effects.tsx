import { say } from '@/messages/say';
type EffectLine = {
  readonly rule: string;
  readonly text: string;
  readonly costs: boolean;
  /** It changes nothing. */ readonly none: boolean;
};
/** Null effects: it cannot be said, for the reasons beside. Empty: no clock is running. */
export type EntryPreview = {
  readonly effects: readonly EffectLine[] | null;
  readonly problems: readonly { readonly path: string; readonly message: string }[];
};

/** What an entry will do to each rule, said before it is kept. */
export function Effects({ preview }: { preview: EntryPreview | null }) {
  if (preview?.effects === null)
    return (
      <p className="hint" aria-live="polite">
        {preview.problems.map((p) => p.message).join(' ')}
      </p>
    );
  const effects = preview?.effects;
  if (effects === undefined)
    return (
      <p className="hint" aria-live="polite">
        {say('controls.workingOutWhatThisDoes')}
      </p>
    );
  if (effects.length === 0)
    return (
      <p className="hint" aria-live="polite">
        {say('controls.noRulesClockRunningSo')}
      </p>
    );
  // Nothing happens: said once, and quietly.
  if (effects.every((e) => e.none))
    return (
      <p className="hint" aria-live="polite" data-testid="effects">
        {say('controls.noVerdictChanges')}
      </p>
    );
  const costs = effects.some((e) => e.costs);
  return (
    <div
      aria-live="polite"
      data-testid="effects"
      className={`border-[1.6px] border-ink px-3 py-2 ${costs ? 'bg-marker' : 'bg-paper'}`}
    >
      <p className="font-semibold">
        {costs ? say('controls.thisCostsCountedTimeOr') : say('controls.whatThisDoes')}
      </p>
      <ul>
        {effects.map((e) => (
          <li key={e.rule} className="text-small leading-[1.35]">
            <b className="font-semibold">{e.rule}</b>: {e.text}
          </li>
        ))}
      </ul>
    </div>
  );
}
