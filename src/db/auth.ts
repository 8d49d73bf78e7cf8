import { hash, verify } from '@node-rs/argon2';
import { betterAuth } from 'better-auth';
import { createAuthEndpoint } from 'better-auth/api';
import { setSessionCookie } from 'better-auth/cookies';
import { username } from 'better-auth/plugins';
import { z } from 'zod';
import { env } from '@/platform/env';
import { sessionSecret } from '@/platform/site-key';
import type { Db } from './client';

/** Cost of a password's hash: OWASP Password Storage Cheat Sheet, argon2id with 19 MiB, 2 passes, 1 lane. */
const HASH_COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };
export const SHORTEST_PASSWORD = 10;
const DAY_S = 24 * 60 * 60;
const SESSION_S = 30 * DAY_S;

/** The made-up people of the demo have no password; whoever calls this has made sure that it is the demo. */
const pickPerson = () => ({
  id: 'pick-person',
  endpoints: {
    pickPerson: createAuthEndpoint(
      '/pick-person',
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

/** `__Host-` binds a cookie to this very server, which browsers take behind https alone. */
const sessionCookieName = (): string => (env.isHttpsOnly() ? '__Host-zh_session' : 'zh_session');

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
        hash: (password) => hash(password, HASH_COST),
        verify: ({ hash: kept, password }) => verify(kept, password),
      },
    },
    // It ends a month after the sign-in, however much it is used: so does its cookie.
    session: { expiresIn: SESSION_S, disableSessionRefresh: true },
    advanced: {
      useSecureCookies: false,
      cookies: {
        session_token: {
          name: sessionCookieName(),
          attributes: { secure: env.isHttpsOnly(), sameSite: 'lax', path: '/', httpOnly: true },
        },
      },
    },
    plugins: [username({ minUsernameLength: 2 }), pickPerson()],
  });
export type Auth = ReturnType<typeof createAuth>;

const held = globalThis as unknown as { zealousAuth?: Auth };
/** Accounts, passwords and sessions, kept by better-auth in the database. */
export const theAuth = (db: Db): Auth => (held.zealousAuth ??= createAuth(db));
