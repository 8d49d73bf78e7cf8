import { say } from '../../messages/say';
/** What people decide and do, in words. */

export const END_WORDS = {
  get matured() {
    return say('terms.finishedAndMature');
  },
  get 'gave-up'() {
    return say('terms.givenUp');
  },
  get merged() {
    return say('terms.joinedWithAnotherBatch');
  },
  get curing() {
    return say('lots.movedToCuringLot');
  },
  get used() {
    return say('lots.allWentOut');
  },
  get discarded() {
    return say('terms.thrownAway');
  },
  get 'used-raw'() {
    return say('terms.usedWithoutMeetingRule');
  },
} as const;

/** What was changed to mend a heap. */
export const FIXED_WORDS = {
  get added() {
    return say('terms.somethingAdded');
  },
  get enlarge() {
    return say('terms.madeBigger');
  },
  get water() {
    return say('terms.watered');
  },
  get dry() {
    return say('terms.leftToDry');
  },
  get nitrogen() {
    return say('terms.somethingRichInNitrogenAdded');
  },
  get carbon() {
    return say('terms.brownsAdded');
  },
  get structure() {
    return say('terms.coarseBrownsMixedIn');
  },
  get turn() {
    return say('terms.turned');
  },
  get cover() {
    return say('terms.covered');
  },
  get uncover() {
    return say('terms.uncovered');
  },
  get shrink() {
    return say('terms.split');
  },
  get bury() {
    return say('terms.foodBuried');
  },
  get thermometer() {
    return say('terms.thermometerChecked');
  },
  get wait() {
    return say('terms.leftAlone');
  },
} as const;

/** Why an advised act is put off. */
export const DEFER_WORDS = {
  get weather() {
    return say('terms.weather');
  },
  get 'no-time'() {
    return say('terms.noTime2');
  },
  get 'no-hands'() {
    return say('terms.nobodyFree');
  },
  get 'no-machine'() {
    return say('terms.noMachine');
  },
  get 'no-water'() {
    return say('terms.noWater');
  },
  get 'heap-fine'() {
    return say('terms.itLooksFine');
  },
  get other() {
    return say('terms.somethingElse');
  },
} as const;

/** Tasks of a batch by name. */
const TASK_NAMES: Readonly<Record<string, () => string>> = {
  hot: () => say('advice.cooling2'),
  read: () => say('advice.temperatures'),
  turn: () => say('advice.turning'),
  water: () => say('advice.watering'),
  mend: () => say('advice.fixing'),
  close: () => say('advice.finishAdding'),
};

/** A task of a batch by its name: the turning after the next is a turning. */
export const taskText = (task: string): string =>
  (TASK_NAMES[task.replace(/\+\d+$/, '')] ?? (() => say('log.taskOther')))();
