import { tempText } from '../quantity/format';
import { toCelsius, type TempUnit } from '../quantity/units';

type DoubtFacts = {
  readonly code:
    | 'OVER_90'
    | 'BELOW_SCALE'
    | 'JUMP'
    | 'BELOW_AIR'
    | 'SAME_VALUE'
    | 'OFF_SCALE'
    | 'OUT_OF_SERVICE';
  readonly valueC: number;
  readonly againstC: number | null;
};
type Answer = 'as-read' | 'other-unit' | 'missed-point' | 'faulty' | 'emergency';

const both = (value: number, unit: TempUnit): string =>
  `${value} °${unit} (${tempText(toCelsius(value, unit), unit === 'C' ? 'F' : 'C')})`;

/** What is asked about a typed value. */
export function doubtText(d: DoubtFacts, typed: number, unit: TempUnit): string {
  const says = `That reads ${both(typed, unit)}`;
  const against = (digits = 0): string => tempText(d.againstC!, unit, digits);
  switch (d.code) {
    case 'OVER_90':
      return `${says}. Wrong unit, faulty thermometer, or an emergency?`;
    case 'BELOW_SCALE':
      return `${says}, colder than any heap. Wrong unit, or a faulty thermometer?`;
    case 'JUMP':
      return `${says}; it was ${against(1)} here last time. Is that right?`;
    case 'BELOW_AIR':
      return `${says}, colder than the air at ${against(1)}. Is the probe in the heap?`;
    case 'SAME_VALUE':
      return `Five times ${typed} °${unit}. Does the needle still move?`;
    case 'OFF_SCALE':
      return `${says}; the scale of this thermometer ends at ${against()}. Is that right?`;
    case 'OUT_OF_SERVICE':
      return 'This thermometer is out of service. Did you read with it all the same?';
  }
}

/** The answers as buttons. */
export function answerText(answer: Answer, typed: number, unit: TempUnit): string {
  switch (answer) {
    case 'as-read':
      return 'It is what it said';
    case 'other-unit':
      return `It was ${typed} °${unit === 'C' ? 'F' : 'C'}`;
    case 'missed-point':
      return `It was ${typed / 10} °${unit}`;
    case 'faulty':
      return 'Thermometer is faulty';
    case 'emergency':
      return 'It may be on fire';
  }
}

export const FAULTY_REASON = 'The thermometer was faulty, said at entry.';

/** What to do at a heap that may burn; local fire rules come first. */
export const FIRE_CARD = {
  title: 'It may be burning inside',
  steps: [
    'Keep people back, upwind, and machines away.',
    'Do not open it: air feeds a smoulder.',
    'Smoke, a glow, or a smell of burning: call the fire service now.',
    'Have water ready. Look at it again from a distance within the hour.',
  ],
  law: 'What you must report and keep clear: check with your local authority.',
} as const;
