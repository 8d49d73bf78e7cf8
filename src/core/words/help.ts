import { say } from '../../messages/say';

/** What each place is for, in five lines. */
export const HELP = {
  yard: () => [
    say('help.yard1'),
    say('help.yard2'),
    say('help.yard3'),
    say('help.yard4'),
    say('help.yard5'),
  ],
  round: () => [
    say('help.round1'),
    say('help.round2'),
    say('help.round3'),
    say('help.round4'),
    say('help.round5'),
  ],
  bench: () => [
    say('help.bench1'),
    say('help.bench2'),
    say('help.bench3'),
    say('help.bench4'),
    say('help.bench5'),
  ],
  plan: () => [
    say('help.plan1'),
    say('help.plan2'),
    say('help.plan3'),
    say('help.plan4'),
    say('help.plan5'),
  ],
  store: () => [
    say('help.store1'),
    say('help.store2'),
    say('help.store3'),
    say('help.store4'),
    say('help.store5'),
  ],
  lots: () => [
    say('help.lots1'),
    say('help.lots2'),
    say('help.lots3'),
    say('help.lots4'),
    say('help.lots5'),
  ],
  map: () => [
    say('help.map1'),
    say('help.map2'),
    say('help.map3'),
    say('help.map4'),
    say('help.map5'),
  ],
  records: () => [
    say('help.records1'),
    say('help.records2'),
    say('help.records3'),
    say('help.records4'),
    say('help.records5'),
  ],
  instruments: () => [
    say('help.instruments1'),
    say('help.instruments2'),
    say('help.instruments3'),
    say('help.instruments4'),
    say('help.instruments5'),
  ],
  rules: () => [
    say('help.rules1'),
    say('help.rules2'),
    say('help.rules3'),
    say('help.rules4'),
    say('help.rules5'),
  ],
} as const;
export type HelpPlace = keyof typeof HELP;
export const HELP_PLACES = Object.keys(HELP) as readonly HelpPlace[];
