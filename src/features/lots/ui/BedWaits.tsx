import { say } from '@/messages/say';

/** Beds that got compost of which not all was heated, and may not be harvested yet. */
export const BedWaits = ({ texts }: { texts: readonly string[] }) =>
  texts.length > 0 && (
    <details className="text-hint border-b border-rule" data-testid="beds-wait">
      <summary className="link min-h-target flex items-center cursor-pointer">
        {say('lots.bedsWait')} ({texts.length})
      </summary>
      <ul>
        {texts.map((text) => (
          <li key={text} className="py-1">
            {text}
          </li>
        ))}
      </ul>
    </details>
  );
