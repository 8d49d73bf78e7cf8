import { hash, verify } from '@node-rs/argon2';
import { betterAuth } from 'better-auth';
import { createAuthEndpoint } from 'better-auth/api';
import { setSessionCookie } from 'better-auth/cookies';
import { twoFactor, username } from 'better-auth/plugins';
import { z } from 'zod';
import { env } from '@/platform/env';
import { nameCookie, sessionSecret } from '@/platform/site-key';
import type { Db } from './client';

/** Cost of a password's hash: OWASP Password Storage Cheat Sheet, argon2id with 19 MiB, 2 passes, 1 lane. */
const HASH_COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };
export const SHORTEST_PASSWORD = 10;
const DAY_S = 24 * 60 * 60;
const SESSION_S = 30 * DAY_S;

/** A password or a PIN, as it is kept. */
export const hashSecret = (secret: string): Promise<string> => hash(secret, HASH_COST);
export const matchesSecret = (kept: string, secret: string): Promise<boolean> =>
  verify(kept, secret);

/** Signs somebody in whom something else than a password has named: a passkey, or the demo. Whoever calls this has made sure of it. */
const openSession = () => ({
  id: 'open-session',
  endpoints: {
    openSession: createAuthEndpoint(
      '/open-session',
      { method: 'POST', body: z.object({ person: z.string() }) },
      async (ctx) => {
        const user = await ctx.context.internalAdapter.findUserById(ctx.body.person);
        if (!user) throw ctx.error('NOT_FOUND');
        const session = await ctx.context.internalAdapter.createSession(user.id);
        await setSessionCookie(ctx, { session, user });
        return ctx.json({ person: user.id });
      },
    ),
  },
});

/**
 * A new password for somebody who lost theirs, perhaps with the phone that made their codes: all their sessions end, and so do the
 * codes. Whoever calls this has made sure who it is.
 */
const renewPassword = () => ({
  id: 'renew-password',
  endpoints: {
    renewPassword: createAuthEndpoint(
      '/renew-password',
      { method: 'POST', body: z.object({ person: z.string(), password: z.string() }) },
      async (ctx) => {
        const { person, password } = ctx.body;
        const { internalAdapter, adapter } = ctx.context;
        await internalAdapter.updatePassword(person, await hashSecret(password));
        await adapter.deleteMany({
          model: 'twoFactor',
          where: [{ field: 'userId', value: person }],
        });
        const user = await internalAdapter.updateUser(person, { twoFactorEnabled: false });
        await internalAdapter.deleteUserSessions(person);
        const session = await internalAdapter.createSession(person);
        await setSessionCookie(ctx, { session, user });
        return ctx.json({ person });
      },
    ),
  },
});

/** A cookie that no script reads. `__Host-` binds it to this very server, which browsers take behind https alone. */
const boundCookie = (name: string) => ({
  name: env.isHttpsOnly() ? `__Host-${nameCookie(name)}` : nameCookie(name),
  attributes: {
    ...{ secure: env.isHttpsOnly(), sameSite: 'lax' as const, path: '/', httpOnly: true },
  },
});

const createAuth = (db: Db) =>
  betterAuth({
    // Nothing of it is reached from outside: no address leads to it, the server calls it.
    baseURL: 'http://127.0.0.1',
    secret: sessionSecret(),
    telemetry: { enabled: false },
    database: { db, type: 'postgres', transaction: true },
    emailAndPassword: {
      enabled: true,
      minPasswordLength: SHORTEST_PASSWORD,
      password: {
        hash: hashSecret,
        verify: ({ hash: kept, password }) => matchesSecret(kept, password),
      },
    },
    // It ends a month after the sign-in, however much it is used: so does its cookie.
    session: { expiresIn: SESSION_S, disableSessionRefresh: true },
    advanced: {
      useSecureCookies: false,
      cookies: { session_token: boundCookie('zh_session'), two_factor: boundCookie('zh_code') },
    },
    plugins: [
      username({ minUsernameLength: 2 }),
      twoFactor({ issuer: 'Zealous Heap' }),
      openSession(),
      renewPassword(),
    ],
  });
export type Auth = ReturnType<typeof createAuth>;

const held = globalThis as unknown as { zealousAuth?: Auth };
/** Accounts, passwords and sessions, kept by better-auth in the database. */
export const theAuth = (db: Db): Auth => (held.zealousAuth ??= createAuth(db));
