import { enAdvice } from './advice';
import { enApp } from './app';
import { enBatch } from './batch';
import { enBench } from './bench';
import { enBring } from './bring';
import { enBuild } from './build';
import { enCharts } from './charts';
import { enChecker } from './checker';
import { enCompare } from './compare';
import { enControls } from './controls';
import { enDay } from './day';
import { enEntry } from './entry';
import { enEvidence } from './evidence';
import { enFind } from './find';
import { enFire } from './fire';
import { enFlow } from './flow';
import { enFormats } from './formats';
import { enFrame } from './frame';
import { enGlossary } from './glossary';
import { enHelp } from './help';
import { enInstruments } from './instruments';
import { enLabels } from './labels';
import { enLog } from './log';
import { enLots } from './lots';
import { enMap } from './map';
import { enMethods } from './methods';
import { enMix } from './mix';
import { enOpen } from './open';
import { enPlaces } from './places';
import { enPeople } from './people';
import { enPhone } from './phone';
import { enPlan } from './plan';
import { enRecord } from './record';
import { enRound } from './round';
import { enRules } from './rules';
import { enSite } from './site';
import { enSnapshot } from './snapshot';
import { enStatus } from './status';
import { enStore } from './store';
import { enTerms } from './terms';
import { enTrust } from './trust';
import { enUnits } from './units';
import { enWaiting } from './waiting';
import { enYard } from './yard';

/** Every text of the product in American English, by topic: the catalogue that the others are measured by. */
export const en = {
  advice: enAdvice,
  app: enApp,
  batch: enBatch,
  bench: enBench,
  bring: enBring,
  build: enBuild,
  charts: enCharts,
  checker: enChecker,
  compare: enCompare,
  controls: enControls,
  day: enDay,
  entry: enEntry,
  evidence: enEvidence,
  find: enFind,
  fire: enFire,
  flow: enFlow,
  formats: enFormats,
  frame: enFrame,
  glossary: enGlossary,
  help: enHelp,
  instruments: enInstruments,
  labels: enLabels,
  log: enLog,
  lots: enLots,
  map: enMap,
  methods: enMethods,
  mix: enMix,
  open: enOpen,
  places: enPlaces,
  people: enPeople,
  phone: enPhone,
  plan: enPlan,
  record: enRecord,
  round: enRound,
  rules: enRules,
  site: enSite,
  snapshot: enSnapshot,
  status: enStatus,
  store: enStore,
  terms: enTerms,
  trust: enTrust,
  units: enUnits,
  waiting: enWaiting,
  yard: enYard,
} as const;
