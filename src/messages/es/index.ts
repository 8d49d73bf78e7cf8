import type { Catalogue } from '../say';
import { esAdvice } from './advice';
import { esApp } from './app';
import { esBatch } from './batch';
import { esBench } from './bench';
import { esBring } from './bring';
import { esBuild } from './build';
import { esCharts } from './charts';
import { esChecker } from './checker';
import { esCompare } from './compare';
import { esControls } from './controls';
import { esDay } from './day';
import { esEntry } from './entry';
import { esEvidence } from './evidence';
import { esFind } from './find';
import { esFire } from './fire';
import { esFlow } from './flow';
import { esFormats } from './formats';
import { esFrame } from './frame';
import { esGlossary } from './glossary';
import { esHelp } from './help';
import { esInstruments } from './instruments';
import { esLabels } from './labels';
import { esLog } from './log';
import { esLots } from './lots';
import { esMap } from './map';
import { esMethods } from './methods';
import { esMix } from './mix';
import { esOpen } from './open';
import { esPlaces } from './places';
import { esPeople } from './people';
import { esPhone } from './phone';
import { esPlan } from './plan';
import { esRecord } from './record';
import { esRound } from './round';
import { esRules } from './rules';
import { esSite } from './site';
import { esSnapshot } from './snapshot';
import { esStatus } from './status';
import { esStore } from './store';
import { esTerms } from './terms';
import { esTrust } from './trust';
import { esUnits } from './units';
import { esWaiting } from './waiting';
import { esYard } from './yard';

/** Every text in the Spanish of American crews. */
export const es: Catalogue = {
  advice: esAdvice,
  app: esApp,
  batch: esBatch,
  bench: esBench,
  bring: esBring,
  build: esBuild,
  charts: esCharts,
  checker: esChecker,
  compare: esCompare,
  controls: esControls,
  day: esDay,
  entry: esEntry,
  evidence: esEvidence,
  find: esFind,
  fire: esFire,
  flow: esFlow,
  formats: esFormats,
  frame: esFrame,
  glossary: esGlossary,
  help: esHelp,
  instruments: esInstruments,
  labels: esLabels,
  log: esLog,
  lots: esLots,
  map: esMap,
  methods: esMethods,
  mix: esMix,
  open: esOpen,
  places: esPlaces,
  people: esPeople,
  phone: esPhone,
  plan: esPlan,
  record: esRecord,
  round: esRound,
  rules: esRules,
  site: esSite,
  snapshot: esSnapshot,
  status: esStatus,
  store: esStore,
  terms: esTerms,
  trust: esTrust,
  units: esUnits,
  waiting: esWaiting,
  yard: esYard,
};
