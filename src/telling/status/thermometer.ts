import { say } from '@/messages/say';
import { tempText } from '@/core/quantity/format';
import type { TempUnit } from '@/core/units/units';

/** What is asked of a check that is further off than a thermometer that still works. */
export const implausibleCheckText = (
  { readC, referenceC }: { readonly readC: number; readonly referenceC: number },
  unit: TempUnit,
): string =>
  say('status.implausibleCheck', {
    read: tempText(readC, unit, 1),
    reference: tempText(referenceC, unit, 1),
    other: unit === 'F' ? '°C' : '°F',
    unit: `°${unit}`,
  });
