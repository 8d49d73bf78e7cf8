'use client';
import { say } from '@/messages/say';
import { ChevronRight } from 'lucide-react';
import { LinkedName } from '@/ui/LinkedName';
import { upperFirst } from '@/core/quantity/format';
import { CAUTION } from '@/core/words/caution';
import type { UseView } from '../release-view';
import type { LotPageView } from '../view';
import { RawRoute } from './RawRoute';

/** A mark beside each word: colour alone carries nothing. */
const MARKS = { met: '✓', 'not-met': '✗', unknown: '?' } as const;

function UseItems({ use }: { use: UseView }) {
  return (
    <details className="group border-b border-rule py-1" data-testid={`use-${use.id}`}>
      <summary className="min-h-target flex flex-wrap items-center justify-between gap-2 cursor-pointer">
        <b className="flex items-center gap-1">
          <ChevronRight size={18} aria-hidden="true" className="group-open:rotate-90" />
          {upperFirst(use.name)}
        </b>
        <span className={use.standing === 'met' ? 'font-semibold' : 'q'}>{use.says}</span>
      </summary>
      {use.cautions.map((c) => (
        <p key={c} className="caution pl-4">
          {c}
        </p>
      ))}
      <ul className="pl-4">
        {use.lines.map((l) => (
          <li key={l.item} className="py-1">
            <p>
              <span aria-hidden="true" className="inline-block w-5 font-bold">
                {MARKS[l.standing]}
              </span>
              {l.name}:{' '}
              <b>
                {say('lots.standing', {
                  standing: l.standing === 'not-met' ? 'notmet' : l.standing,
                })}
              </b>{' '}
              <span className="q text-hint">{l.must ? say('lots.must') : say('lots.should')}</span>{' '}
              {l.says}
            </p>
            {l.evidence.map((e) => (
              <p key={e.text} className="pl-5 text-hint">
                <LinkedName href={e.href} name={e.text} />
              </p>
            ))}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** The decision that stands, and what each use asks of the lot, the evidence one press away. */
export function Release({ page }: { page: LotPageView }) {
  const { decision } = page;
  return (
    <section data-testid="release">
      <h2 className="!text-says border-b-[1.6px] border-ink pb-1">
        {say('lots.whatItMayBeUsedFor')}
      </h2>
      <p className="mt-1 font-semibold">{decision ? decision.text : say('lots.notDecidedLong')}</p>
      {decision?.words && <p>{decision.words}</p>}
      {decision?.reasons.map((r) => (
        <p key={r} className="text-hint">
          {r}
        </p>
      ))}
      {!page.row.empty && page.uses.map((u) => <UseItems key={u.id} use={u} />)}
      {page.unproven && <RawRoute ways={page.rawWays} />}
      <p className="hint mt-1">{say('lots.checkAuthority')}</p>
      {page.unproven && <p className="caution mt-1">{CAUTION.unproven}</p>}
    </section>
  );
}
