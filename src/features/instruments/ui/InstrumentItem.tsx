'use client';
import { Drift } from '@/charts/Drift';
import { DRIFT_HOT_C } from '@/core/evidence/drift';
import { MS } from '@/core/quantity/instant';
import { say } from '@/messages/say';
import type { HeapRef } from '@/entry/ui/useEntry';
import { day, facts, temp, type InstrumentLine } from './instrumentParts';

/** What is done with a thermometer; no line: a new one is described. */
export type OpenSheet = {
  readonly kind: 'check' | 'edit' | 'out' | 'back' | 'void';
  readonly line: InstrumentLine | null;
  /** The check that is to be voided. */ readonly check?: InstrumentLine['checks'][number];
};
type OnOpen = (sheet: OpenSheet) => void;

const SheetButton = ({
  kind,
  line,
  label,
  onOpen,
}: OpenSheet & { label: string; onOpen: OnOpen }) => (
  <button type="button" className="btn" onClick={() => onOpen({ kind, line })}>
    {label}
  </button>
);

function Actions({ line, onOpen }: { line: InstrumentLine; onOpen: OnOpen }) {
  const edit = line.known ? say('instruments.change') : say('instruments.addDetails');
  return (
    <div className="flex gap-2 flex-wrap">
      <SheetButton kind="check" line={line} onOpen={onOpen} label={say('instruments.checkIt')} />
      <SheetButton kind="edit" line={line} onOpen={onOpen} label={edit} />
      {line.known &&
        (line.known.out === undefined ? (
          <SheetButton
            kind="out"
            line={line}
            onOpen={onOpen}
            label={say('instruments.takeOutOfService2')}
          />
        ) : (
          <SheetButton
            kind="back"
            line={line}
            onOpen={onOpen}
            label={say('instruments.putBackInService2')}
          />
        ))}
    </div>
  );
}

/** When it is due to be checked, and whether its last check was out of its accuracy. */
const Due = ({ line: { due, checks } }: { line: InstrumentLine }) => (
  <p>
    {due === null ? (
      <b className="marked">{say('instruments.neverChecked')}</b>
    ) : due.late ? (
      <b className="marked">{say('instruments.dueForCheckSince', { due: due.text })}</b>
    ) : (
      <>{say('instruments.nextCheckBy', { due: due.text })}</>
    )}
    {checks[0]?.off && (
      <>
        {' '}
        <b className="marked">{say('instruments.theLastCheckWasOutside')}</b>
      </>
    )}
  </p>
);

/** Every check of it; one that was a slip is voided here. */
const Checks = ({
  line,
  site,
  onOpen,
}: {
  line: InstrumentLine;
  site: HeapRef;
  onOpen: OnOpen;
}) => {
  const unit = line.known?.unit ?? site.unit;
  return (
    <details>
      <summary className="link text-small min-h-[36px] flex items-center">
        {say('instruments.checks', { checks: line.checks.length })}
      </summary>
      <ul className="q text-hint">
        {line.checks.map((c) => (
          <li key={c.entry}>
            {say('instruments.readAtOutofOutsideAccuracy', {
              when: c.when,
              readC: temp(c.readC, unit),
              referenceC: temp(c.referenceC, unit),
              off: c.off ? 'outOf' : 'other',
            })}{' '}
            <button
              type="button"
              className="link min-h-[36px] pointer-coarse:min-h-target"
              onClick={() => onOpen({ kind: 'void', line, check: c })}
            >
              {say('instruments.voidThisCheck')}
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
};

const DRIFT_DAYS = 120;

/** A thermometer: what it is, when it is due, how its error moved, its checks. */
export const InstrumentItem = ({
  line,
  site,
  now,
  onOpen,
}: {
  line: InstrumentLine;
  site: HeapRef;
  now: number;
  onOpen: OnOpen;
}) => (
  <li className="ruled py-3 flex flex-col gap-2">
    <div className="flex justify-between gap-3 flex-wrap">
      <div>
        <h2>{line.name}</h2>
        <p className="q text-hint">{facts(line.known)}</p>
      </div>
      <Actions line={line} onOpen={onOpen} />
    </div>
    {line.known?.out !== undefined && (
      <p>
        <b className="marked">{say('instruments.outOfService', { out: line.known.out })}</b>
      </p>
    )}
    <Due line={line} />
    {line.drift.length > 0 && (
      <div>
        <p className="q text-note">
          {say('instruments.offsetAddedReadingsInIce', {
            unit: `°${site.unit}`,
            hotC: DRIFT_HOT_C,
            some: line.drift.some((d) => !d.single) ? 'at60' : 'other',
          })}
        </p>
        <Drift
          dots={line.drift}
          accuracyK={line.known?.accuracyK ?? 1}
          from={now - DRIFT_DAYS * MS.day}
          to={now}
          unit={site.unit}
          label={day}
        />
      </div>
    )}
    {line.checks.length > 0 && <Checks line={line} site={site} onOpen={onOpen} />}
  </li>
);
