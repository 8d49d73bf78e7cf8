import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts, tempFigure, tempText } from '../../quantity/format';
import { instantOf } from '../../quantity/instant';
import { toCelsius, type TempUnit } from '../../units/units';
import { highestC } from '../../words/reading';
import { ReadingSchema } from '../shapes';
import { describeKind, type LogContext, type LogText } from './kind';
import { Words, walk } from './shared';
import { SKIPS } from './vocabulary';

const schema = z.looseObject({
  source: z.enum(['hand', 'file']),
  readings: z.array(ReadingSchema).min(1),
  words: Words.optional(),
  ...walk,
  /** Places that were left out, and why. */
  left: z.array(z.looseObject({ point: z.string(), reason: z.enum(SKIPS) })).optional(),
});
type RoundData = z.output<typeof schema>;

/** The lowest and the highest of a check, the upper ends of ranges included; one figure where they are the same. */
function rangeText(live: LogContext['readings'], unit: TempUnit): string {
  const low = least(live.map((r) => toCelsius(r.value, r.unit)));
  const high = most(live.map(highestC));
  const [from, to] = [tempFigure(low, unit), tempFigure(high, unit)];
  return from === to ? tempText(high, unit) : `${from}–${tempText(high, unit)}`;
}

function tellRound(data: RoundData, { unit, readings }: LogContext): LogText {
  const live = readings.filter((r) => r.flag === undefined);
  const range = live.length === 0 ? say('log.allVoided') : rangeText(live, unit);
  return {
    title:
      data.source === 'file'
        ? say('log.readingsImported', { readings: data.readings.length })
        : say('log.temperatureCheckOf', { size: new Set(data.readings.map((r) => r.point)).size }),
    detail: joinParts(
      range,
      data.left &&
        data.left.length > 0 &&
        say('log.pointPointsSkipped', { left: data.left.length }),
      data.words,
    ),
  };
}
// A block brought in from a file is too long to be spread into Math.min.
const least = (values: readonly number[]): number => values.reduce((a, b) => Math.min(a, b));
const most = (values: readonly number[]): number => values.reduce((a, b) => Math.max(a, b));

/** Readings of one walk round the heap, or a block of them brought in from a file. */
export const roundKind = describeKind({
  schema,
  scope: 'batch',
  correction: 'strike',
  inherited: true,
  fileEvent: null,
  clocks: 'evidence',
  snapshots: 'own',
  changesFrom: ({ readings }) => least(readings.map((r) => instantOf(r.at))),
  mark: 'probe',
  tell: (data, context) => tellRound(data, context),
  record: () => null,
});
