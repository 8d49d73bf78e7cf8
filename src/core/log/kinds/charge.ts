import type { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { amountText } from '../../words/amount';
import { ChargeSchema } from '../store-shapes';
import { describeKind, type LogText } from './kind';

type ChargeData = z.output<typeof ChargeSchema>;

function tellCharge(data: ChargeData): LogText {
  return {
    title: 'Went in',
    detail: joinParts(
      data.layer !== undefined && `layer ${data.layer}`,
      ...data.parts.map((p) => `${p.material.replaceAll('-', ' ')} ${amountText(p.amount)}`),
      data.waterL !== undefined && `${data.waterL} L of water`,
      data.base && `base: ${data.base}`,
      data.activator && `activator: ${data.activator}`,
      data.cover && `cover: ${data.cover}`,
      data.way && (data.way === 'layered' ? 'in layers' : 'mixed at once'),
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
    `Went in: ${[...data.parts.map((p) => `${materialName(p.material)}, ${amountText(p.amount)}`), data.waterL === undefined ? '' : `${data.waterL} L of water`].filter(Boolean).join('; ') || (data.words ?? 'no material')}`,
});
