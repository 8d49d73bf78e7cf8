import { say } from '../../../messages/say';
import type { EntryKind } from '../entry';

/**
 * The name of each kind in the list of what waits on a device. It stands apart from the rest of a kind's description, since a
 * page that logs needs this alone, and not the shapes of all data.
 */
export const WAITING_NAMES: Readonly<Record<EntryKind, string>> = {
  get acceptance() {
    return say('log.whatTheSiteTakes2');
  },
  addition: 'added',
  ambient: 'air',
  assign: 'task',
  get 'bay-wanted'() {
    return say('log.bayWanted2');
  },
  built: 'closed',
  get charge() {
    return say('log.wentIn3');
  },
  chore: 'chore',
  correction: 'correction',
  cover: 'cover',
  get cure() {
    return say('log.putToCure2');
  },
  get defer() {
    return say('log.putOff2');
  },
  ended: 'ended',
  get 'fire-card'() {
    return say('log.fireCard2');
  },
  fix: 'changed',
  hold: 'hold',
  instrument: 'thermometer',
  get 'lay-up'() {
    return say('log.whatItIsBuiltBy');
  },
  get 'load-change'() {
    return say('log.changeOfALoad2');
  },
  get 'load-heat'() {
    return say('log.heatOfALoad2');
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
    return say('log.feltSmelled');
  },
  opened: 'opened',
  photo: 'photo',
  plan: 'places',
  get position() {
    return say('log.whereItStands');
  },
  get 'probe-check'() {
    return say('log.checkOfAThermometer');
  },
  ready: 'ready',
  recipe: 'recipe',
  get release() {
    return say('log.letGoOut2');
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
    return say('log.leftOutOfARound2');
  },
  get split() {
    return say('log.partCarriedOff');
  },
  stack: 'stacked',
  template: 'method',
  get terms() {
    return say('log.rulesAndPolicy');
  },
  get transfer() {
    return say('log.takenOff2');
  },
  turn: 'turned',
  get 'walk-order'() {
    return say('log.orderOfTheRound2');
  },
  water: 'watered',
  work: 'crew',
};
