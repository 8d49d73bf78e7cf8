import type { Catalogue } from '../say';
import advice from './advice';
import app from './app';
import batch from './batch';
import bench from './bench';
import bring from './bring';
import build from './build';
import charts from './charts';
import checker from './checker';
import compare from './compare';
import controls from './controls';
import day from './day';
import entry from './entry';
import evidence from './evidence';
import find from './find';
import fire from './fire';
import formats from './formats';
import frame from './frame';
import instruments from './instruments';
import labels from './labels';
import log from './log';
import map from './map';
import methods from './methods';
import mix from './mix';
import open from './open';
import places from './places';
import phone from './phone';
import plan from './plan';
import record from './record';
import round from './round';
import rules from './rules';
import site from './site';
import snapshot from './snapshot';
import store from './store';
import terms from './terms';
import units from './units';
import waiting from './waiting';
import yard from './yard';

/** Every text in the Spanish of American crews. */
export const es: Catalogue = {
  advice,
  app,
  batch,
  bench,
  bring,
  build,
  charts,
  checker,
  compare,
  controls,
  day,
  entry,
  evidence,
  find,
  fire,
  formats,
  frame,
  instruments,
  labels,
  log,
  map,
  methods,
  mix,
  open,
  places,
  phone,
  plan,
  record,
  round,
  rules,
  site,
  snapshot,
  store,
  terms,
  units,
  waiting,
  yard,
};
