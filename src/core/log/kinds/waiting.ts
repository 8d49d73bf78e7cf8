import { say } from '../../../messages/say';
import type { EntryKind } from '../entry';

/**
 * The name of each kind in the list of what waits on a device. It stands apart from the rest of a kind's description, since a
 * page that logs needs this alone, and not the shapes of all data.
 */
export const WAITING_NAMES: Readonly<Record<EntryKind, string>> = {
  get acceptance() {
    return say('log.whatWeAccept2');
  },
  addition: 'added',
  ambient: 'air',
  assign: 'task',
  get 'bay-wanted'() {
    return say('log.bayNeeded2');
  },
  built: 'closed',
  get charge() {
    return say('log.wentIn3');
  },
  chore: 'chore',
  correction: 'correction',
  cover: 'cover',
  get cure() {
    return say('log.curingStarted2');
  },
  get defer() {
    return say('log.postponed2');
  },
  ended: 'ended',
  get 'fire-card'() {
    return say('log.firePlan2');
  },
  fix: 'changed',
  hold: 'hold',
  instrument: 'thermometer',
  get 'lay-up'() {
    return say('log.buildSheet2');
  },
  get 'load-change'() {
    return say('log.loadChanged2');
  },
  get 'load-heat'() {
    return say('log.stackTemperature2');
  },
  load: 'load',
  material: 'material',
  measures: 'measures',
  merge: 'joined',
  method: 'method',
  moisture: 'moisture',
  move: 'moved',
  note: 'note',
  get observation() {
    return say('log.moistureAndSmell');
  },
  opened: 'opened',
  photo: 'photo',
  plan: 'places',
  get position() {
    return say('log.location2');
  },
  get 'probe-check'() {
    return say('log.thermometerCheck');
  },
  ready: 'ready',
  recipe: 'recipe',
  get release() {
    return say('log.released2');
  },
  'round-settings': 'distances',
  round: 'round',
  rule: 'rule',
  screen: 'screened',
  'site-map': 'map',
  get 'site-terms'() {
    return say('log.rulesOfTheSite');
  },
  size: 'size',
  get skip() {
    return say('log.skippedAtACheck2');
  },
  get split() {
    return say('log.splitOff2');
  },
  stack: 'stacked',
  template: 'method',
  get terms() {
    return say('log.rulesAndPolicy');
  },
  get transfer() {
    return say('log.removed2');
  },
  turn: 'turned',
  get 'walk-order'() {
    return say('log.orderOfTheWalk2');
  },
  water: 'watered',
  work: 'crew',
};
