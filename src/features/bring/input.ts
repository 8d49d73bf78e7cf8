import { say } from '@/messages/say';
import { BatchIdSchema, EntryIdSchema } from '@/core/log/ids';
import { z } from 'zod';
import { METHODS } from '@/core/evidence/types';
import { isTimeZone } from '@/core/quantity/calendar';
import { PROBLEM } from '@/core/words/problem';

const Csv = z.object({
  kind: z.literal('csv'),
  rows: z.array(z.array(z.string())).min(1),
  options: z.object({
    shape: z.enum(['long', 'wide']),
    unit: z.enum(['C', 'F']),
    timeZone: z.string().refine(isTimeZone, { error: () => PROBLEM.noZone }),
    dateOrder: z.enum(['dmy', 'mdy']),
  }),
  batch: z.object({
    code: z.string().trim().min(1).max(24),
    name: z.string().trim().max(60).optional(),
    method: z.enum(METHODS),
    builtLocal: z.string(),
    siteName: z.string(),
  }),
});

/** What the page sends to bring a batch in; `openedId` makes a second sending harmless. */
export const BringInput = z.object({
  openedId: EntryIdSchema,
  by: z
    .string()
    .trim()
    .min(1, { error: () => say('bring.sayWhoImportsIt') })
    .max(60),
  bay: z.string().trim().max(40).optional(),
  /** Rules that it is to be kept under, the leading one first; none: no rule is claimed. Absent: those that the file names. */
  rules: z.array(z.string().max(80)).max(60).optional(),
  brought: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('file'), text: z.string() }),
    Csv,
  ]),
});

const Moment = z.iso.datetime({ offset: true });
/** Of which batch, and between which moments. */
export const AskedReadings = z.object({ batch: BatchIdSchema, from: Moment, to: Moment });
export type AskedReadings = z.output<typeof AskedReadings>;
