import { say } from '../../../messages/say';
import { BatchIdSchema } from '../ids';
import { z } from 'zod';
import { joinParts } from '../../quantity/format';
import { METHODS } from '../../evidence/types';
import { isTimeZone } from '../../quantity/calendar';
import { PROBLEM } from '../../words/problem';
import {
  AmbientSchema,
  MeasuresSchema,
  PointSchema,
  PolicySchema,
  ProbeSchema,
  RuleSchema,
  TemplateSchema,
  Unit,
} from '../shapes';
import { AdoptedSchema } from '../store-shapes';
import { describeKind } from './kind';
import { act, Moment, siteVersion } from './shared';
import { INPUTS } from './vocabulary';

/** A batch gets its name and place; it may still be building. */
export const openedKind = describeKind({
  schema: z.looseObject({
    code: z.string().trim().min(1).max(24),
    name: z.string().trim().max(60).optional(),
    method: z.enum(METHODS),
    bay: z.string().trim().max(40).optional(),
    volumeM3: z.number().positive().max(100_000).optional(),
    shape: z.string().optional(),
    coreDepthM: z.number().positive().optional(),
    points: z.array(PointSchema).min(1),
    policy: PolicySchema.default({}),
    rules: z.array(z.string()).default([]),
    ownRules: z.array(RuleSchema).default([]),
    inputs: z.array(z.enum(INPUTS)).optional(),
    /** What its rules ask for beside temperatures, as far as whoever opened it confirmed it. */
    confirmed: z
      .array(z.strictObject({ rule: z.string(), condition: z.string().max(300) }))
      .max(60)
      .optional(),
    siteVersion,
    /** How it is kept; without one, the usual way of its kind. */
    template: TemplateSchema.optional(),
    measures: MeasuresSchema.optional(),
    /** Carried off from another heap: it has that heap's past up to this moment, and not its future. */
    splitFrom: z
      .looseObject({
        batch: BatchIdSchema,
        at: Moment,
        /** Of what stood there, 0 to 1; left out: its volume was not known. */ share: z
          .number()
          .gt(0)
          .lt(1)
          .optional(),
      })
      .optional(),
    ...act,
    /** Taken over while it was under way. */
    adopted: AdoptedSchema.optional(),
    /** Of a batch kept elsewhere: its thermometers, air temperatures and whatever else its file held. */
    brought: z
      .looseObject({
        /** SHA-256 of the file; absent: it was imported before that was kept. */ digest: z
          .string()
          .optional(),
        probes: z.array(ProbeSchema),
        ambient: z.array(AmbientSchema).optional(),
        extra: z.record(z.string(), z.unknown()),
        siteName: z.string(),
        timeZone: z.string().refine(isTimeZone, { error: () => PROBLEM.noZone }),
        unit: Unit.optional(),
      })
      .optional(),
  }),
  scope: 'batch',
  drawsOnStore: true,
  correction: 'none',
  inherited: false,
  fileEvent: null,
  clocks: 'rules',
  snapshots: 'own',
  mark: 'flag',
  tell: (data) => ({
    title: data.adopted ? say('log.takenOverUnderWay') : say('log.started'),
    detail: joinParts(
      data.bay && say('log.bay', { bay: data.bay }),
      data.method,
      data.adopted && say('log.notLoggedHereBefore'),
      data.adopted?.words,
    ),
  }),
  record: (data) => (data.adopted ? say('log.takenOverUnderWayNot') : say('log.started')),
});
