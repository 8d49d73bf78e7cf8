import { acceptanceKind } from './acceptance';
import { additionKind } from './addition';
import { ambientKind } from './ambient';
import { assignKind } from './assign';
import { bayWantedKind } from './bay-wanted';
import { builtKind } from './built';
import { chargeKind } from './charge';
import { choreKind } from './chore';
import { correctionKind } from './correction';
import { coverKind } from './cover';
import { cureKind } from './cure';
import { deferKind } from './defer';
import { endedKind } from './ended';
import { entryCheckKind } from './entry-check';
import { fireCardKind } from './fire-card';
import { fixKind } from './fix';
import { holdKind } from './hold';
import { inspectionKind } from './inspection';
import { instrumentKind } from './instrument';
import { layUpKind } from './lay-up';
import { loadKind } from './load';
import { loadChangeKind } from './load-change';
import { loadHeatKind } from './load-heat';
import { materialKind } from './material';
import { measuresKind } from './measures';
import { mergeKind } from './merge';
import { methodKind } from './method';
import { moistureKind } from './moisture';
import { moveKind } from './move';
import { noteKind } from './note';
import { observationKind } from './observation';
import { openedKind } from './opened';
import { photoKind } from './photo';
import { planKind } from './plan';
import { positionKind } from './position';
import { probeCheckKind } from './probe-check';
import { readyKind } from './ready';
import { recipeKind } from './recipe';
import { releaseKind } from './release';
import { roundKind } from './round';
import { roundSettingsKind } from './round-settings';
import { traineePolicyKind } from './trainee-policy';
import { ruleKind } from './rule';
import { screenKind } from './screen';
import { siteMapKind } from './site-map';
import { siteTermsKind } from './site-terms';
import { sizeKind } from './size';
import { skipKind } from './skip';
import { splitKind } from './split';
import { stackKind } from './stack';
import { templateKind } from './template';
import { termsKind } from './terms';
import { transferKind } from './transfer';
import { turnKind } from './turn';
import { walkOrderKind } from './walk-order';
import { waterKind } from './water';
import { witnessKind } from './witness';
import { workKind } from './work';
import { limitSetKind } from './limit-set';
import { lotKind } from './lot';
import { lotMoveKind } from './lot-move';
import { screeningKind } from './screening';
import { lotOutKind } from './lot-out';
import { lotUseKind } from './lot-use';
import { lotSizeKind } from './lot-size';
import { lotLookKind } from './lot-look';
import { maturityTestKind } from './maturity-test';
import { labSampleKind } from './lab-sample';
import { labReportKind } from './lab-report';
import { lotDecisionKind } from './lot-decision';
import { recallKind } from './recall';
import { lotOutcomeKind } from './lot-outcome';
import { lotPageKind } from './lot-page';
import { signedFromKind } from './signed-from';
import { restoredKind } from './restored';
import { faultNotedKind } from './fault-noted';
import { questionClosedKind } from './question-closed';

/**
 * The one registry of what may stand in the log. A new kind is a file beside this one and a line here: lists, forms, texts and
 * the printed record come from it.
 */
export const ENTRY_KIND_REGISTRY = {
  opened: openedKind,
  'lay-up': layUpKind,
  charge: chargeKind,
  built: builtKind,
  round: roundKind,
  skip: skipKind,
  photo: photoKind,
  plan: planKind,
  position: positionKind,
  turn: turnKind,
  water: waterKind,
  addition: additionKind,
  merge: mergeKind,
  moisture: moistureKind,
  observation: observationKind,
  note: noteKind,
  move: moveKind,
  transfer: transferKind,
  split: splitKind,
  stack: stackKind,
  size: sizeKind,
  method: methodKind,
  fix: fixKind,
  defer: deferKind,
  assign: assignKind,
  'bay-wanted': bayWantedKind,
  chore: choreKind,
  hold: holdKind,
  ready: readyKind,
  ended: endedKind,
  cover: coverKind,
  screen: screenKind,
  cure: cureKind,
  terms: termsKind,
  release: releaseKind,
  correction: correctionKind,
  'entry-check': entryCheckKind,
  'probe-check': probeCheckKind,
  instrument: instrumentKind,
  'walk-order': walkOrderKind,
  'round-settings': roundSettingsKind,
  'site-terms': siteTermsKind,
  'trainee-policy': traineePolicyKind,
  rule: ruleKind,
  template: templateKind,
  work: workKind,
  'fire-card': fireCardKind,
  material: materialKind,
  measures: measuresKind,
  acceptance: acceptanceKind,
  load: loadKind,
  'load-change': loadChangeKind,
  'load-heat': loadHeatKind,
  recipe: recipeKind,
  witness: witnessKind,
  'signed-from': signedFromKind,
  restored: restoredKind,
  'fault-noted': faultNotedKind,
  'question-closed': questionClosedKind,
  inspection: inspectionKind,
  'site-map': siteMapKind,
  ambient: ambientKind,
  lot: lotKind,
  'lot-move': lotMoveKind,
  screening: screeningKind,
  'lot-out': lotOutKind,
  'lot-size': lotSizeKind,
  'lot-look': lotLookKind,
  'maturity-test': maturityTestKind,
  'lab-sample': labSampleKind,
  'lab-report': labReportKind,
  'lot-decision': lotDecisionKind,
  recall: recallKind,
  'lot-outcome': lotOutcomeKind,
  'lot-page': lotPageKind,
  'lot-use': lotUseKind,
  'limit-set': limitSetKind,
} as const;
