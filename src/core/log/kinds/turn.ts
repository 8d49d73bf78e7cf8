import { say } from '../../../messages/say';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { describeKind } from './kind';
import { Words, origin, act } from './shared';
import { RIMS } from './vocabulary';

const RIM_WORDS = {
  all: {
    get log() {
      return say('log.allEdgeWentIn');
    },
    get record() {
      return say('log.allOfTheEdge');
    },
  },
  most: {
    get log() {
      return say('log.mostEdgeWentIn');
    },
    get record() {
      return say('log.mostOfTheEdge');
    },
  },
  partly: {
    get log() {
      return say('log.partEdgeWentIn');
    },
    get record() {
      return say('log.partOfTheEdge');
    },
  },
  unsure: {
    get log() {
      return say('log.notSureHowMuchEdge');
    },
    get record() {
      return say('log.notSureHowMuchEdge2');
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
  bearsWork: true,
  correction: 'in-place',
  inherited: true,
  fileEvent: 'turn',
  clocks: 'turns',
  snapshots: 'own',
  changesFrom: (_data, at) => at,
  mark: 'turn',
  tell: (data) => ({
    title: data.full ? say('log.fullTurn') : say('log.partialTurn'),
    detail: joinParts(
      data.rim && RIM_WORDS[data.rim].log,
      data.machine && say('log.byMachine'),
      data.minutes !== undefined &&
        (data.people
          ? say('log.minByPersonPeople', { minutes: data.minutes, people: data.people })
          : say('units.min', { minutes: data.minutes })),
      data.readFirst === false && say('log.noTemperaturesBeforeIt'),
      data.words,
    ),
  }),
  record: (data) =>
    data.full
      ? data.rim
        ? say('log.fullTurnWentIn', { record: RIM_WORDS[data.rim].record })
        : say('log.fullTurn2')
      : say('log.partialTurnDoesNotCount'),
});
