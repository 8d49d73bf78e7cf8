import { say } from '@/messages/say';
import Link from 'next/link';
import { GroupedDisclosure } from '@/ui/Disclosure';
import type { Tie, Ties } from '../kin';

const Branch = ({ title, ties }: { title: string; ties: readonly Tie[] }) =>
  ties.length === 0 ? null : (
    <div>
      <h3 className="!text-control">{title}</h3>
      <ul className="text-small">
        {ties.map((t, i) => (
          <li
            key={`${t.id}${i}`}
            className="py-0.5 flex gap-2"
            style={{ paddingLeft: t.depth * 22 }}
          >
            {t.depth > 0 && <span aria-hidden="true">└</span>}
            <span>
              <Link prefetch={false} className="link" href={`/batch/${t.id}`}>
                {t.name}
              </Link>
              : {t.text}
              {t.gone ? say('batch.finished') : ''}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );

/** The heaps that this one came out of and went into. */
export function Kin({ ties }: { ties: Ties }) {
  if (ties.before.length + ties.after.length === 0) return null;
  return (
    <GroupedDisclosure name="kin" initially summary={say('batch.whereCameFromWhereWent')}>
      <div className="grid sm:grid-cols-2 gap-4" data-testid="kin">
        <Branch title={say('batch.wentIntoIt')} ties={ties.before} />
        <Branch title={say('batch.cameOutOfIt')} ties={ties.after} />
      </div>
    </GroupedDisclosure>
  );
}
