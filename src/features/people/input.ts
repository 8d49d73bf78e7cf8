import { z } from 'zod';
import { MEMBER_ROLES } from '@/core/log/entered-by';
import { say } from '@/messages/say';

const Name = z
  .string()
  .trim()
  .min(2, { error: () => say('people.nameTooShort') })
  .max(60, { error: () => say('people.nameTooLong') });

/** What somebody who was invited says of themselves. */
export const JoinInput = z.object({
  token: z.string().max(200),
  name: Name,
  username: z
    .string()
    .trim()
    .regex(/^[a-zA-Z0-9_.]{2,30}$/, { error: () => say('people.usernameForm') }),
  password: z
    .string()
    .min(10, { error: () => say('people.passwordTooShort') })
    .max(128, { error: () => say('people.passwordTooLong') }),
});

export type JoinInput = z.output<typeof JoinInput>;

/** What a manager does on the page of people. */
export const PeopleAct = z.discriminatedUnion('act', [
  z.object({
    act: z.literal('invite'),
    name: Name,
    role: z.enum(MEMBER_ROLES),
    partner: z.string().trim().max(120).optional(),
  }),
  z.object({ act: z.literal('connect'), name: Name }),
  z.object({ act: z.literal('withdraw'), invitation: z.uuid() }),
  z.object({ act: z.literal('role'), person: z.string().max(80), role: z.enum(MEMBER_ROLES) }),
  z.object({ act: z.literal('end'), person: z.string().max(80) }),
  z.object({ act: z.literal('revoke'), device: z.uuid() }),
]);
export type PeopleAct = z.output<typeof PeopleAct>;
