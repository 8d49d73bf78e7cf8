import { say } from '@/messages/say';
import Link from 'next/link';

/** The tasks as calendars that a phone subscribes to. */
export function Feeds({
  people,
  host,
}: {
  people: readonly string[];
  /** Under which name this device reached the hub. */ host: string;
}) {
  const list = [
    { name: say('plan.wholeSite'), path: '/calendar.ics' },
    ...people.map((p) => ({ name: p, path: `/calendar.ics?who=${encodeURIComponent(p)}` })),
  ];
  return (
    <div className="px-5 py-5 max-w-[720px] flex flex-col gap-4">
      <h1>{say('plan.calendarForPhones')}</h1>
      <p>{say('plan.eachPersonsTasksThoseNot')}</p>
      <ul>
        {list.map((f) => (
          <li key={f.path} className="ruled py-3 flex flex-wrap gap-x-5 gap-y-1 items-center">
            <b className="font-semibold min-w-[140px]">{f.name}</b>
            <a className="btn" href={host ? `webcal://${host}${f.path}` : f.path}>
              {say('plan.subscribe')}
            </a>
            <a className="link min-h-target inline-flex items-center" href={f.path}>
              {say('plan.downloadTheFile')}
            </a>
            <code className="text-note break-all">
              {host}
              {f.path}
            </code>
          </li>
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
