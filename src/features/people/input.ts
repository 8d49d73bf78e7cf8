import { z } from 'zod';
import { MEMBER_ROLES } from '@/core/log/entered-by';

/** The supplier whose deliveries and share a partner sees. */
const Partner = z
  .string()
  .trim()
  .max(120)
  .transform((name) => (name === '' ? undefined : name))
  .optional();
const Name = z.string().trim().min(2).max(60);

/** What somebody who was invited says of themselves. What is wrong is told by the name of its field. */
export const JoinInput = z.object({
  token: z.string().max(200),
  name: Name,
  username: z
    .string()
    .trim()
    .regex(/^[a-zA-Z0-9_.]{2,30}$/),
  password: z.string().min(10).max(128),
});
export type JoinInput = z.output<typeof JoinInput>;

/** What a manager does on the page of people. */
export const PeopleAct = z.discriminatedUnion('act', [
  z.object({
    act: z.literal('invite'),
    name: Name,
    role: z.enum(MEMBER_ROLES),
    partner: Partner,
  }),
  z.object({ act: z.literal('connect'), name: Name }),
  z.object({ act: z.literal('withdraw'), invitation: z.uuid() }),
  z.object({
    act: z.literal('role'),
    person: z.string().max(80),
    role: z.enum(MEMBER_ROLES),
    partner: Partner,
  }),
  z.object({ act: z.literal('end'), person: z.string().max(80) }),
  z.object({ act: z.literal('revoke'), device: z.uuid() }),
]);
export type PeopleAct = z.output<typeof PeopleAct>;
