import { z } from 'zod';
import { MEMBER_ROLES } from '@/core/log/entered-by';

/** The supplier whose deliveries and share a partner sees. */
const Partner = z
  .string()
  .trim()
  .max(120)
  .transform((name) => (name === '' ? undefined : name))
  .optional();
/** Where a link is sent to as well; it is not kept. */
const Email = z.union([z.literal(''), z.email().max(200)]).optional();
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

/** 4 to 8 digits; nothing typed takes the PIN away. */
const Pin = z
  .string()
  .trim()
  .regex(/^(\d{4,8})?$/)
  .transform((pin) => (pin === '' ? null : pin));

/** What a manager does on the page of people. */
export const PeopleAct = z.discriminatedUnion('act', [
  z.object({
    act: z.literal('invite'),
    name: Name,
    role: z.enum(MEMBER_ROLES),
    partner: Partner,
    email: Email,
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
  z.object({ act: z.literal('trainees'), count: z.enum(['checked', 'at-once']) }),
  z.object({ act: z.literal('renew'), person: z.string().max(80), email: Email }),
  z.object({ act: z.literal('pin'), person: z.string().max(80), pin: Pin }),
  z.object({ act: z.literal('revoke'), device: z.uuid() }),
]);
export type PeopleAct = z.output<typeof PeopleAct>;

const Password = z.string().max(128);
/** A code of the app, or one of those that were written down. */
const Code = z.string().trim().max(20);

/** What somebody does about their own account. */
export const AccountAct = z.discriminatedUnion('act', [
  z.object({ act: z.literal('password'), current: Password, password: Password }),
  z.object({ act: z.literal('code-begin'), current: Password }),
  z.object({ act: z.literal('code-confirm'), code: Code }),
  z.object({ act: z.literal('code-end'), current: Password }),
  z.object({ act: z.literal('pin'), pin: Pin }),
  z.object({ act: z.literal('sign-out-others') }),
  z.object({ act: z.literal('sign-out-one'), session: z.string().max(80) }),
  z.object({ act: z.literal('passkey-end'), passkey: z.string().max(1400) }),
]);
/** A step of adding or using a passkey: asking what is to be signed, and bringing it back signed by a device. */
export const PasskeyStep = z.object({
  step: z.enum(['ask', 'bring']),
  password: Password.optional(),
  name: z.string().max(40).optional(),
  next: z.string().max(500).optional(),
  response: z.looseObject({ id: z.string().max(1400) }).optional(),
});
export type PasskeyStep = z.output<typeof PasskeyStep>;

/** What an app for one-time codes is told, with the codes to write down, as a cookie bears them to the page that shows them. */
export const NewCodes = z.object({ totpURI: z.url(), backupCodes: z.array(z.string()) });
/** What was changed about an account, as the address of its page says it. */
export const ACCOUNT_NOTES = [
  'password',
  'codes-on',
  'codes-off',
  'pin-on',
  'pin-off',
  'others',
  'one',
  'passkey-on',
  'passkey-off',
] as const;
export type AccountNote = (typeof ACCOUNT_NOTES)[number];
/** Why it was not. */
export const ACCOUNT_PROBLEMS = ['short', 'easy', 'wrong', 'code', 'pin'] as const;
export type AccountProblem = (typeof ACCOUNT_PROBLEMS)[number];
