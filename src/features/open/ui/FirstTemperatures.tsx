'use client';
import { say } from '@/messages/say';
import { KeepBar } from '@/entry/ui/parts';
import { useEntry } from '@/entry/ui/useEntry';
import { useTyped } from '@/ui/draft';
import { Field } from '@/ui/Field';
import { whoIsMissing } from '@/ui/SaveButton';
import { firstCheckOf, firstReadingProblem, type FirstPoint } from '../first-steps';
import { useGoOn, type StepProps } from './FirstSteps';

/** The first temperatures of the batch: what was read just now, point by point. */
export function FirstTemperaturesStep({
  site,
  next,
  points,
  instruments,
}: StepProps & {
  points: readonly FirstPoint[];
  instruments: readonly { readonly name: string; readonly unit: 'C' | 'F' }[];
}) {
  const [cells, setCells] = useTyped<Readonly<Record<string, string>>>('cells', {});
  const probe = instruments[0] ?? null;
  const unit = probe?.unit ?? site.unit;
  const entry = useEntry('round', site, () => undefined);
  const goOn = useGoOn(next);
  const data = firstCheckOf(entry.id, points, cells, unit, probe?.name ?? null);
  const wrong = points.some((p) => firstReadingProblem(cells[p.id] ?? '') !== null);
  return (
    <>
      <h1>{say('open.whatDoesItReadNow')}</h1>
      <p className="hint max-w-[60ch]">{say('open.pushThermometerWait')}</p>
      <div className="grid grid-cols-2 gap-3">
        {points.map((p) => (
          <Field
            key={p.id}
            label={p.label}
            unit={`°${unit}`}
            inputMode="decimal"
            value={cells[p.id] ?? ''}
            onChange={(e) => setCells({ ...cells, [p.id]: e.target.value })}
            problem={firstReadingProblem(cells[p.id] ?? '') ?? undefined}
          />
        ))}
      </div>
      <p className="caution">{say('open.steamBurnsStandUpwind')}</p>
      <KeepBar
        entry={entry}
        label={say('open.saveAndSeeVerdict')}
        missing={
          wrong
            ? say('open.correctTheFigures')
            : data === null
              ? say('open.typeAtLeastOneTemperature')
              : whoIsMissing(entry.by)
        }
        onKeep={() => data && entry.save(data, () => goOn(entry.by))}
      />
    </>
  );
}
