import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { describeKind } from './kind';
import { Words, origin, act } from './shared';
import { RIMS } from './vocabulary';

const RIM_WORDS = {
  all: {
    get log() {
      return say('log.allOfTheRimWentIn');
    },
    get record() {
      return say('log.allOfTheRim');
    },
  },
  most: {
    get log() {
      return say('log.mostOfTheRimWentIn');
    },
    get record() {
      return say('log.mostOfTheRim');
    },
  },
  partly: {
    get log() {
      return say('log.theRimWentInPartly');
    },
    get record() {
      return say('log.partOfTheRim');
    },
  },
  unsure: {
    get log() {
      return say('log.unsureHowFarTheRimWentIn');
    },
    get record() {
      return say('log.unsureHowMuchOfTheRim');
    },
  },
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
    title: data.full ? say('log.turned') : say('log.stirredOnly'),
    detail: joinParts(
      data.rim && RIM_WORDS[data.rim].log,
      data.machine && say('log.byMachine'),
      data.minutes !== undefined &&
        (data.people
          ? say('log.minByOnePersonOtherPeople', { minutes: data.minutes, people: data.people })
          : say('log.min', { minutes: data.minutes })),
      data.readFirst === false && say('log.notReadBeforeIt'),
      data.words,
    ),
  }),
  record: (data) =>
    data.full
      ? data.rim
        ? say('log.fullTurningWentIn', { record: RIM_WORDS[data.rim].record })
        : say('log.fullTurning')
      : say('log.stirredOnlyNotAFullTurning'),
});
