import { say } from '../../../messages/say';
import { figureWithUnit } from '../../quantity/format';
import { z } from 'zod';
import { PlanPointSchema } from '../shapes';
import { describeKind } from './kind';

/** Where a round reads this heap, from now on. Places that are no longer named stay with their readings. */
export const planKind = describeKind({
  schema: z.looseObject({ points: z.array(PlanPointSchema).min(1).max(60) }),
  scope: 'batch',
  correction: 'strike',
  inherited: false,
  fileEvent: null,
  clocks: 'evidence',
  snapshots: 'own',
  mark: 'probe',
  tell: (data) => ({
    title: say('log.probePoints'),
    detail: data.points
      .map((p) =>
        [p.label, p.depthM === undefined ? '' : figureWithUnit('length', p.depthM)]
          .filter(Boolean)
          .join(' '),
      )
      .join('; '),
  }),
  record: () => null,
});
