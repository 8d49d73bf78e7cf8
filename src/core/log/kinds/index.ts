import { acceptance } from './acceptance';
import { addition } from './addition';
import { ambient } from './ambient';
import { assign } from './assign';
import { bayWanted } from './bay-wanted';
import { built } from './built';
import { charge } from './charge';
import { chore } from './chore';
import { correction } from './correction';
import { cover } from './cover';
import { cure } from './cure';
import { defer } from './defer';
import { ended } from './ended';
import { fireCard } from './fire-card';
import { fix } from './fix';
import { hold } from './hold';
import { instrument } from './instrument';
import { layUp } from './lay-up';
import { load } from './load';
import { loadChange } from './load-change';
import { loadHeat } from './load-heat';
import { material } from './material';
import { measures } from './measures';
import { merge } from './merge';
import { method } from './method';
import { moisture } from './moisture';
import { move } from './move';
import { note } from './note';
import { observation } from './observation';
import { opened } from './opened';
import { photo } from './photo';
import { plan } from './plan';
import { position } from './position';
import { probeCheck } from './probe-check';
import { ready } from './ready';
import { recipe } from './recipe';
import { release } from './release';
import { round } from './round';
import { roundSettings } from './round-settings';
import { rule } from './rule';
import { screen } from './screen';
import { siteMap } from './site-map';
import { siteTerms } from './site-terms';
import { size } from './size';
import { skip } from './skip';
import { split } from './split';
import { stack } from './stack';
import { template } from './template';
import { terms } from './terms';
import { transfer } from './transfer';
import { turn } from './turn';
import { walkOrder } from './walk-order';
import { water } from './water';
import { work } from './work';

/**
 * The one registry of what may stand in the log. A new kind is a file beside this one and a line here: lists, forms, texts and
 * the printed record come from it.
 */
export const ENTRY_KIND_REGISTRY = {
  opened,
  'lay-up': layUp,
  charge,
  built,
  round,
  skip,
  photo,
  plan,
  position,
  turn,
  water,
  addition,
  merge,
  moisture,
  observation,
  note,
  move,
  transfer,
  split,
  stack,
  size,
  method,
  fix,
  defer,
  assign,
  'bay-wanted': bayWanted,
  chore,
  hold,
  ready,
  ended,
  cover,
  screen,
  cure,
  terms,
  release,
  correction,
  'probe-check': probeCheck,
  instrument,
  'walk-order': walkOrder,
  'round-settings': roundSettings,
  'site-terms': siteTerms,
  rule,
  template,
  work,
  'fire-card': fireCard,
  material,
  measures,
  acceptance,
  load,
  'load-change': loadChange,
  'load-heat': loadHeat,
  recipe,
  'site-map': siteMap,
  ambient,
} as const;
