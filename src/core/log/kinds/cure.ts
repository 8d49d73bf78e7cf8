import { say } from '../../../messages/say';
import { CureSchema } from '../lot-shapes';
import { describeKind } from './kind';
import { act, origin } from './shared';
import { litresOrAll } from './text';

/** Curing began: where it stands, or as part of a curing lot that it was moved to. */
export const cureKind = describeKind({
  schema: CureSchema.extend({ ...act, ...origin }),
  scope: 'batch',
  movesMatter: true,
  correction: 'strike',
  inherited: true,
  fileEvent: 'cure',
  clocks: 'none',
  snapshots: 'own',
  mark: 'cure',
  tell: (data) => ({
    title: data.to === undefined ? say('log.curingStarted') : say('lots.movedToCure'),
    detail:
      data.to === undefined ? '' : litresOrAll({ all: data.all ?? false, litres: data.litres }),
  }),
  record: () => say('log.curingStarted'),
});
