import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type AuthenticatorTransport,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server';
import { theAuth } from '@/db/auth';
import { currentAccess, theAccounts, theDb } from '@/db/context';
import { auditRepo } from '@/db/repositories/audit';
import { memberRepo } from '@/db/repositories/members';
import { passkeyRepo, type Passkey } from '@/db/repositories/passkeys';
import { cookieOf, safePath } from '@/entry/server/forms';
import { say } from '@/messages/say';
import { readBody } from '@/platform/body';
import { MOST_FORM_BYTES } from '@/platform/body-limits';
import { now } from '@/platform/clock';
import { currentCookie, currentHeaders } from '@/platform/current-request';
import { sha256 } from '@/platform/hash';
import { parseJson } from '@/platform/json';
import { createToken } from '@/platform/token';
import { PasskeyStep } from '../input';
import { auditSignIn } from './sign-in';

/** Bears the name under which the server remembers what it asked a device to sign. */
const ASKED_COOKIE = 'zh_passkey';
const ASKED_MS = 5 * 60_000;

const answer = (body: object, cookies: readonly string[] = []): Response => {
  const headers = new Headers({ 'cache-control': 'no-store' });
  for (const cookie of cookies) headers.append('set-cookie', cookie);
  return Response.json(body, { headers });
};
const refused = (problem: string): Response => answer({ ok: false, problem });

async function stepOf(request: Request): Promise<PasskeyStep | null> {
  const body = await readBody(request, MOST_FORM_BYTES);
  const json = body.ok ? parseJson(body.bytes.toString('utf8')) : null;
  return (json?.ok ? PasskeyStep.safeParse(json.value).data : null) ?? null;
}

/** The address that the page stands under, which a passkey is bound to; the guard has let its name pass. */
function partyOf(request: Request): { readonly origin: string; readonly id: string } {
  const scheme = request.headers.get('x-forwarded-proto') === 'https' ? 'https' : 'http';
  const url = new URL(`${scheme}://${request.headers.get('host') ?? 'localhost'}`);
  return { origin: url.origin, id: url.hostname };
}

/** Remembers what a device is asked to sign. @returns the cookie that leads back to it */
async function rememberAsked(challenge: string): Promise<string> {
  const { token, tokenHash } = createToken();
  const { internalAdapter } = await theAuth(theAccounts()).$context;
  await internalAdapter.createVerificationValue({
    ...{ identifier: `passkey-${tokenHash}`, value: challenge },
    expiresAt: new Date(now() + ASKED_MS),
  });
  return cookieOf(ASKED_COOKIE, token, ASKED_MS / 1000);
}

/** What the device was asked to sign: good once. */
async function recallAsked(): Promise<string | null> {
  const tokenHash = sha256(currentCookie(ASKED_COOKIE) ?? '');
  const { internalAdapter } = await theAuth(theAccounts()).$context;
  const asked = await internalAdapter.consumeVerificationValue(`passkey-${tokenHash}`);
  return asked && asked.expiresAt.getTime() > now() ? asked.value : null;
}

/** Adds a passkey to one's own account; the password is asked for first. */
export async function addPasskey(request: Request): Promise<Response> {
  const [step, { person, site }] = [await stepOf(request), await currentAccess()];
  if (!step || !person) return refused(say('people.passkeyFailed'));
  if (step.step === 'ask') return askForNew(request, person, step.password ?? '');
  const added = await verifyNew(request, step, person.id);
  if (!added) return refused(say('people.passkeyFailed'));
  await passkeyRepo(theAccounts()).add(added);
  const where = { site: site?.id ?? null, who: person.id };
  await auditRepo(theDb()).audit(
    { event: 'second-factor', ...where, about: { is: 'passkey' } },
    now(),
  );
  return answer({ ok: true, to: '/account?done=passkey-on' });
}

async function askForNew(
  request: Request,
  person: { readonly id: string; readonly name: string },
  password: string,
): Promise<Response> {
  const headers = currentHeaders();
  const isRight = await theAuth(theAccounts())
    .api.verifyPassword({ body: { password }, headers })
    .then(
      () => true,
      () => false,
    );
  if (!isRight) return refused(say('people.passwordNowWrong'));
  const there = await passkeyRepo(theAccounts()).ofPerson(person.id);
  const options = await generateRegistrationOptions({
    ...{ rpName: 'Zealous Heap', rpID: partyOf(request).id, userName: person.name },
    userID: Uint8Array.from(Buffer.from(person.id)),
    attestationType: 'none',
    excludeCredentials: there.map(({ id }) => ({ id })),
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
  });
  return answer({ ok: true, options }, [await rememberAsked(options.challenge)]);
}

async function verifyNew(
  request: Request,
  { response, name = '' }: PasskeyStep,
  person: string,
): Promise<Passkey | null> {
  const [asked, party] = [await recallAsked(), partyOf(request)];
  if (asked === null) return null;
  try {
    const { registrationInfo } = await verifyRegistrationResponse({
      // The library holds every field of it against what it must be.
      response: response as unknown as RegistrationResponseJSON,
      ...{ expectedChallenge: asked, expectedOrigin: party.origin, expectedRPID: party.id },
    });
    if (!registrationInfo) return null;
    const { id, publicKey, counter, transports = [] } = registrationInfo.credential;
    const called = name.trim() === '' ? say('people.passkey') : name.trim();
    return { id, person, name: called, publicKey, counter, transports, madeAt: now() };
  } catch {
    return null;
  }
}

/** Signs somebody in by a passkey: the device has asked for a finger, a face or its own PIN. */
export async function signInByPasskey(request: Request): Promise<Response> {
  const step = await stepOf(request);
  if (!step) return refused(say('people.passkeyFailed'));
  if (step.step === 'ask') {
    const options = await generateAuthenticationOptions({
      ...{ rpID: partyOf(request).id, userVerification: 'required' },
    });
    return answer({ ok: true, options }, [await rememberAsked(options.challenge)]);
  }
  const person = await verifyUse(request, step);
  if (person === null) {
    await auditSignIn('sign-in-refused', null);
    return refused(say('people.passkeyUnknown'));
  }
  await auditSignIn('signed-in', person);
  const { headers } = await theAuth(theAccounts()).api.openSession({
    ...{ body: { person }, headers: currentHeaders(), returnHeaders: true },
  });
  return answer({ ok: true, to: safePath(step.next) }, headers.getSetCookie());
}

/** Whose passkey has signed what was asked; null: nobody's. */
async function verifyUse(request: Request, { response }: PasskeyStep): Promise<string | null> {
  const [asked, party] = [await recallAsked(), partyOf(request)];
  const key = asked === null ? null : await passkeyRepo(theAccounts()).find(response?.id ?? '');
  if (asked === null || !key) return null;
  try {
    const { verified, authenticationInfo } = await verifyAuthenticationResponse({
      response: response as unknown as AuthenticationResponseJSON,
      ...{ expectedChallenge: asked, expectedOrigin: party.origin, expectedRPID: party.id },
      credential: {
        ...{ id: key.id, publicKey: key.publicKey, counter: key.counter },
        transports: [...key.transports] as AuthenticatorTransport[],
      },
    });
    if (!verified) return null;
    await passkeyRepo(theAccounts()).noteUse(key.id, authenticationInfo.newCounter, now());
    return (await memberRepo(theDb()).memberships(key.person)).length > 0 ? key.person : null;
  } catch {
    return null;
  }
}
