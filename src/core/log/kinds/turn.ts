import { z } from 'zod';
import { countText, joinParts } from '../../quantity/format';
import { describeKind } from './kind';
import { Words, origin, act } from './shared';
import { RIMS } from './vocabulary';

const RIM_WORDS = {
  all: { log: 'all of the rim went in', record: 'all of the rim' },
  most: { log: 'most of the rim went in', record: 'most of the rim' },
  partly: { log: 'the rim went in partly', record: 'part of the rim' },
  unsure: { log: 'unsure how far the rim went in', record: 'unsure how much of the rim' },
} as const;

export const turnKind = describeKind({
  schema: z.looseObject({
    full: z.boolean(),
    rim: z.enum(RIMS).optional(),
    words: Words.optional(),
    /** A person's minutes, how many people, and whether the machine did it. */
    minutes: z.number().min(0).max(1440).optional(),
    people: z.int().min(1).max(60).optional(),
    machine: z.boolean().optional(),
    /** Whether a round was read before it was opened. */
    readFirst: z.boolean().optional(),
    ...act,
    ...origin,
  }),
  scope: 'batch',
  correction: 'in-place',
  inherited: true,
  fileEvent: 'turn',
  clocks: 'turns',
  snapshots: 'own',
  mark: 'turn',
  tell: (data) => ({
    title: data.full ? 'Turned' : 'Stirred only',
    detail: joinParts(
      data.rim && RIM_WORDS[data.rim].log,
      data.machine && 'by machine',
      data.minutes !== undefined &&
        `${data.minutes} min${data.people ? ` by ${countText(data.people, 'person', 'people')}` : ''}`,
      data.readFirst === false && 'not read before it',
      data.words,
    ),
  }),
  record: (data) =>
    data.full
      ? `Full turning${data.rim ? `, ${RIM_WORDS[data.rim].record} went in` : ''}`
      : 'Stirred only: not a full turning',
});
