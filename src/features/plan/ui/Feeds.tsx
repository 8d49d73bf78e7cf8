import { say } from '@/messages/say';
import Link from 'next/link';

/** The tasks as calendars that a phone subscribes to. */
export function Feeds({
  people,
  host,
  calendarKey,
}: {
  people: readonly string[];
  /** Under which name this device reached the hub. */ host: string;
  /** By which a calendar is let in, shown once after it was made; null: none was made just now. */
  calendarKey: string | null;
}) {
  const pathOf = (who: Readonly<Record<string, string>>): string => {
    const asked = new URLSearchParams({ ...who, ...(calendarKey ? { key: calendarKey } : {}) });
    return asked.size > 0 ? `/calendar.ics?${asked.toString()}` : '/calendar.ics';
  };
  const list = [
    { name: say('plan.wholeSite'), path: pathOf({}) },
    ...people.map((name) => ({ name, path: pathOf({ who: name }) })),
  ];
  return (
    <div className="px-5 py-5 max-w-[720px] flex flex-col gap-4">
      <h1>{say('terms.calendarForPhones')}</h1>
      <p>{say('plan.eachPersonsTasksThoseNot')}</p>
      {calendarKey === null ? (
        <form action="/api/calendar" method="post">
          <button className="btn key">{say('plan.makeLinks')}</button>
          <p className="hint mt-2">{say('plan.makeLinksHow')}</p>
        </form>
      ) : (
        <p role="status" className="font-semibold">
          {say('plan.linksShownOnce')}
        </p>
      )}
      <ul>
        {list.map((f) => (
          <Feed key={f.path} {...{ host, calendarKey }} {...f} />
        ))}
      </ul>
      <p className="hint">
        {say('plan.thePhoneMustAbleReach')}{' '}
        <Link prefetch={false} className="link" href="/plan">
          {say('plan.backToThePlan')}
        </Link>
      </p>
    </div>
  );
}

/** One calendar: to subscribe to, where it has a key, and to take along. */
const Feed = ({
  name,
  path,
  host,
  calendarKey,
}: {
  name: string;
  path: string;
  host: string;
  calendarKey: string | null;
}) => (
  <li className="ruled py-3 flex flex-wrap gap-x-5 gap-y-1 items-center">
    <b className="font-semibold min-w-[140px]">{name}</b>
    {calendarKey !== null && (
      <a className="btn" href={host ? `webcal://${host}${path}` : path}>
        {say('plan.subscribe')}
      </a>
    )}
    <a className="link min-h-target inline-flex items-center" href={path}>
      {say('plan.downloadTheFile')}
    </a>
    {calendarKey !== null && (
      <code className="text-note break-all">
        {host}
        {path}
      </code>
    )}
  </li>
);
