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
    { name: 'All of the site', path: '/calendar.ics' },
    ...people.map((p) => ({ name: p, path: `/calendar.ics?who=${encodeURIComponent(p)}` })),
  ];
  return (
    <div className="px-5 py-5 max-w-[720px] flex flex-col gap-4">
      <h1>Calendar for phones</h1>
      <p>
        Each person’s tasks and those that nobody has yet, as a calendar (iCalendar) that a phone
        subscribes to and looks up again by itself. A task that moves, moves there too.
      </p>
      <ul>
        {list.map((f) => (
          <li key={f.path} className="ruled py-3 flex flex-wrap gap-x-5 gap-y-1 items-center">
            <b className="font-semibold min-w-[140px]">{f.name}</b>
            <a className="btn" href={host ? `webcal://${host}${f.path}` : f.path}>
              Subscribe
            </a>
            <a className="link min-h-target inline-flex items-center" href={f.path}>
              Take the file
            </a>
            <code className="text-note break-all">
              {host}
              {f.path}
            </code>
          </li>
        ))}
      </ul>
      <p className="hint">
        The phone must reach the hub for it.{' '}
        <Link prefetch={false} className="link" href="/plan">
          Back to the plan
        </Link>
      </p>
    </div>
  );
}
