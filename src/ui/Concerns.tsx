import { say } from '@/messages/say';

/** What came in with loads and limits what the compost may be used for. Nothing where nothing did. */
export const Concerns = ({ texts }: { texts: readonly string[] }) =>
  texts.length > 0 && (
    <section aria-label={say('status.concernsTitle')} data-testid="concerns" className="text-hint">
      <h2 className="!text-says border-b-[1.6px] border-ink pb-1">{say('status.concernsTitle')}</h2>
      <ul>
        {texts.map((text) => (
          <li key={text} className="border-b border-rule py-1.5">
            {text}
          </li>
        ))}
      </ul>
    </section>
  );
