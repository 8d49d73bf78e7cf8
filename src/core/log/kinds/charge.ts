import { say } from '../../../messages/say';
import type { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { amountText } from '../../words/amount';
import { ChargeSchema } from '../store-shapes';
import { describeKind, type LogText } from './kind';

type ChargeData = z.output<typeof ChargeSchema>;

function tellCharge(data: ChargeData): LogText {
  return {
    title: say('log.wentIn'),
    detail: joinParts(
      data.layer !== undefined && say('log.layer', { layer: data.layer }),
      ...data.parts.map((p) => `${p.material.replaceAll('-', ' ')} ${amountText(p.amount)}`),
      data.waterL !== undefined && say('bench.lOfWater', { waterL: data.waterL }),
      data.base && say('log.base', { base: data.base }),
      data.activator && say('log.activator', { activator: data.activator }),
      data.cover && say('log.coverLayer', { cover: data.cover }),
      data.way && (data.way === 'layered' ? say('log.inLayers') : say('log.mixedAtOnce')),
      data.words,
    ),
  };
}

/** Something went in while it is still building. */
export const chargeKind = describeKind({
  schema: ChargeSchema,
  scope: 'batch',
  drawsOnStore: true,
  correction: 'strike',
  inherited: true,
  fileEvent: null,
  clocks: 'none',
  snapshots: 'own',
  mark: 'add',
  tell: (data) => tellCharge(data),
  record: (data, { materialName }) =>
    say('log.wentIn2', {
      words:
        [
          ...data.parts.map((p) => `${materialName(p.material)}, ${amountText(p.amount)}`),
          data.waterL === undefined ? '' : say('bench.lOfWater', { waterL: data.waterL }),
        ]
          .filter(Boolean)
          .join('; ') ||
        (data.words ?? say('log.noMaterial')),
    }),
});
