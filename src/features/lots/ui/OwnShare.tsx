import { say } from '@/messages/say';
import type { OwnShareView } from '../season-view';

/** What a partner brought this year, and what they may take out for it. */
export const OwnShare = ({ share, site }: { share: OwnShareView; site: string }) => (
  <>
    <p>{say('lots.ownShareOf', { site, year: String(share.year) })}</p>
    {share.lines.length === 0 && <p>{say('lots.ownShareNone')}</p>}
    <dl className="flex flex-col">
      {share.lines.map((l) => (
        <div key={l.name} className="ruled py-2 flex justify-between gap-4">
          <dt>{l.name}</dt>
          <dd className="font-semibold">{l.value}</dd>
        </div>
      ))}
    </dl>
    {share.loads.length > 0 && (
      <section>
        <h2>{say('lots.ownLoads')}</h2>
        <ul>
          {share.loads.map((l) => (
            <li key={l} className="border-b border-rule py-1">
              {l}
            </li>
          ))}
        </ul>
      </section>
    )}
    <p className="hint">{say('lots.partnersHow')}</p>
  </>
);
