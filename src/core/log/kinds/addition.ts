import { say } from '../../../messages/say';
import { BatchIdSchema } from '../ids';
import { z } from 'zod';
import { figureWithUnit, joinParts } from '../../quantity/format';
import { amountText } from '../../words/amount';
import { PartSchema, PutInKnowing } from '../store-shapes';
import { describeKind } from './kind';
import { Words, seeds, origin, act } from './shared';
import { TRANSFER_KINDS } from './vocabulary';
import { seedText } from './text';

export const additionKind = describeKind({
  schema: z.looseObject({
    raw: z.boolean(),
    seeds,
    what: Words.optional(),
    litres: z.number().positive().max(1_000_000).optional(),
    /** Out of the store. */ parts: z.array(PartSchema).max(60).optional(),
    /** The heap that it came out of, and as what. */ from: BatchIdSchema.optional(),
    stuff: z.enum(TRANSFER_KINDS).optional(),
    knowing: PutInKnowing,
    ...act,
    ...origin,
  }),
  scope: 'batch',
  drawsOnStore: true,
  correction: 'in-place',
  inherited: true,
  fileEvent: 'add',
  clocks: 'may-restart',
  snapshots: 'own',
  changesFrom: (_data, at) => at,
  mark: 'add',
  tell: (data) => ({
    title: data.raw ? say('log.rawAddition') : say('log.cleanAddition'),
    detail: joinParts(
      data.what,
      data.litres !== undefined && figureWithUnit('litres', data.litres),
      ...(data.parts ?? []).map(
        (p) => `${p.material.replaceAll('-', ' ')} ${amountText(p.amount)}`,
      ),
      data.raw && say('log.startsTheClockOver'),
      // Of what came out of another batch nobody was asked whether it is free of seeds.
      data.seeds !== undefined &&
        (data.seeds
          ? say('log.withLiveWeedSeeds2')
          : data.from === undefined && say('log.noLiveWeedSeeds2')),
    ),
  }),
  record: (data) =>
    `${data.raw ? say('log.rawAddition') : say('log.cleanAddition')}${data.what ? `: ${data.what}` : ''}${seedText(data.seeds)}`,
});
