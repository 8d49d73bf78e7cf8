import type { BatchStatus } from '@/core/status/batch-status';

/**
 * What cannot be said of one batch at one moment: two facts that contradict each other. The same table stands in docs/status.md;
 * whoever meets a contradiction on a screen adds its row here.
 */
export type ImpossiblePair = {
  readonly name: string;
  readonly isSaid: (s: BatchStatus) => boolean;
};

const isHot = ({ danger }: BatchStatus): boolean =>
  danger.level === 'fire' || danger.level === 'high';
const has = ({ acts }: BatchStatus, ...kinds: readonly string[]): boolean =>
  acts.some((act) => kinds.includes(act.kind));
const DAY_MS = 86_400_000;

export const IMPOSSIBLE_PAIRS: readonly ImpossiblePair[] = [
  {
    name: 'too hot, and nothing to do about it',
    isSaid: (s) =>
      isHot(s) &&
      !s.isGone &&
      s.stage.code !== 'ended' &&
      s.stage.code !== 'released' &&
      !has(s, 'hot'),
  },
  {
    name: 'in danger, and gone from the lists',
    isSaid: (s) => s.danger.level === 'fire' && s.isGone,
  },
  {
    name: 'in danger, and its next act is another',
    isSaid: (s) => s.danger.level === 'fire' && s.next.code !== 'TOO_HOT',
  },
  { name: 'too hot, and on course', isSaid: (s) => isHot(s) && s.course.code === 'on' },
  {
    name: 'on course, and to be put right',
    isSaid: (s) => s.course.code === 'on' && has(s, 'mend'),
  },
  {
    name: 'on course, and not read for longer than its rule allows',
    isSaid: (s) => s.course.code === 'on' && s.rules.some((r) => r.code === 'unread'),
  },
  {
    name: 'on course, and never warm after a week of a hot method',
    isSaid: (s) =>
      s.course.code === 'on' &&
      s.situation.rounds.every((r) => r.peakC < 45) &&
      s.age.from === 'finished-adding' &&
      s.now - s.age.since >= 7 * DAY_MS &&
      s.situation.template.expect.some((p) => p.lowC >= 45),
  },
  {
    name: 'rule met, and less counted time than it asks for',
    isSaid: (s) =>
      s.rules.some(
        (r) =>
          r.code.startsWith('met') &&
          r.facts.form.kind === 'hold' &&
          r.facts.creditedHours < r.facts.requiredHours,
      ),
  },
  {
    name: 'not hot enough, and not read',
    isSaid: (s) =>
      s.rules.some((r) => ['waiting', 'broken', 'adds-up'].includes(r.code)) &&
      (s.lastRead === null || s.now - s.lastRead.at > 36 * 3_600_000 * 2),
  },
  {
    name: 'two acts of one kind',
    isSaid: ({ acts }) => new Set(acts.map((act) => act.kind)).size !== acts.length,
  },
  {
    name: 'the next act by one moment, and in the list by another',
    isSaid: ({ next, acts }) =>
      next.code !== 'TOO_HOT' &&
      'due' in next &&
      acts.length > 0 &&
      !acts.some((act) => act.by === next.due),
  },
  {
    name: 'a rule loses time, and its act is later',
    isSaid: ({ acts }) =>
      acts.some((act) => act.askedBy === 'rule' && act.latest !== null && act.by > act.latest),
  },
  {
    name: 'more turnings count than were made',
    isSaid: ({ turnings }) => turnings.counting > turnings.made,
  },
  {
    name: 'being built, and a day since it was finished',
    isSaid: ({ stage, age }) => stage.code === 'building' && age.from === 'finished-adding',
  },
  {
    name: 'on hold, and something to do that is no danger',
    isSaid: (s) => s.stage.held !== null && s.acts.some((act) => act.askedBy !== 'danger'),
  },
];

/** Names of the pairs that a status says. */
export const contradictionsOf = (status: BatchStatus): string[] =>
  IMPOSSIBLE_PAIRS.filter((pair) => pair.isSaid(status)).map((pair) => pair.name);
