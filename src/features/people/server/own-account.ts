import qrcode from 'qrcode';
import { theAuth } from '@/db/auth';
import { currentAccess, theAccounts, theDb } from '@/db/context';
import { passkeyRepo } from '@/db/repositories/passkeys';
import { dayText, whenText } from '@/core/quantity/format';
import { passkeyLabels } from './passkey-labels';
import { memberRepo } from '@/db/repositories/members';
import { say } from '@/messages/say';
import { browserName } from '@/platform/browser-name';
import { now } from '@/platform/clock';
import { currentCookie, currentHeaders } from '@/platform/current-request';
import {
  ACCOUNT_NOTES,
  ACCOUNT_PROBLEMS,
  NewCodes,
  type AccountNote,
  type AccountProblem,
} from '../input';
import type { AccountView } from '../ui/Account';
import type { CodesView } from '../ui/OwnCodes';
import { CODE_COOKIE } from './account';

type Asked = {
  readonly done?: string | undefined;
  readonly problem?: string | undefined;
  readonly 'set-up'?: string | undefined;
};

/** The account of whoever asks; null: nobody has signed in, or has no place here. */
export async function ownAccount(asked: Asked): Promise<AccountView | null> {
  const { person, site } = await currentAccess();
  if (!person || !site || person.role === null) return null;
  const member = (await memberRepo(theDb()).members(site.id)).find((m) => m.person === person.id);
  const username = member?.username ?? null;
  const setUp = asked['set-up'] === undefined ? null : await setUpOf(username ?? '');
  const passkeys = await passkeyRepo(theAccounts()).ofPerson(person.id);
  const [note, problem] = [
    ACCOUNT_NOTES.find((n) => n === asked.done),
    ACCOUNT_PROBLEMS.find((p) => p === asked.problem),
  ];
  return {
    ...{ name: person.name, role: person.role, site: site.name, username },
    passkeys: {
      labels: passkeyLabels(say('people.passkeyAdd')),
      all: passkeys.map((k) => ({
        ...{ id: k.id, name: k.name },
        since: say('people.passkeySince', { since: dayText(site.timeZone, k.madeAt) }),
      })),
    },
    codes: { isOn: member?.hasCodes ?? false, setUp },
    hasPin: member?.hasPin ?? false,
    sessions: await ownSessions(site.timeZone),
    note: note ? noteText(note) : null,
    problem: problem ? problemText(problem) : null,
  };
}

/** Where somebody is signed in, this browser first, then the newest sign-in. */
async function ownSessions(timeZone: string): Promise<AccountView['sessions']> {
  const { api } = theAuth(theAccounts());
  const headers = currentHeaders();
  const [all, own] = [await api.listSessions({ headers }), await api.getSession({ headers })];
  return all
    .map((s) => ({ ...s, isThis: s.id === own?.session.id }))
    .toSorted((a, b) => +b.isThis - +a.isThis || +b.createdAt - +a.createdAt)
    .map(({ id, isThis, userAgent, createdAt }) => {
      const since = whenText(timeZone, createdAt.getTime(), now());
      return {
        ...{ id, isThis, browser: browserText(userAgent ?? '') },
        since: isThis
          ? say('people.signedInHere', { since })
          : say('people.signedInSince', { since }),
      };
    });
}

function browserText(userAgent: string): string {
  const name = browserName(userAgent);
  return name === null ? say('people.someBrowser') : say('people.browserOn', name);
}

/** What was just made for an app, from the cookie that bears it to this page; null: it is too late for it. */
async function setUpOf(username: string): Promise<CodesView['setUp']> {
  const bundle = Buffer.from(currentCookie(CODE_COOKIE) ?? '', 'base64url').toString();
  if (bundle === '') return null;
  const { totpURI, backupCodes } = NewCodes.parse(JSON.parse(bundle));
  // The library names an account by an e-mail that nobody has; the app shows the user name.
  const uri = totpURI.replace(/:[^:?]*\?/, `:${encodeURIComponent(username)}?`);
  const picture = await qrcode.toString(uri, { type: 'svg', margin: 2 });
  const secret = new URL(uri).searchParams.get('secret') ?? '';
  return {
    picture: `data:image/svg+xml;utf8,${encodeURIComponent(picture)}`,
    key: secret.replace(/(.{4})(?=.)/g, '$1 '),
    backupCodes,
  };
}

function noteText(note: AccountNote): string {
  switch (note) {
    case 'password':
      return say('people.passwordChanged');
    case 'codes-on':
      return say('people.doneCodesOn');
    case 'codes-off':
      return say('people.doneCodesOff');
    case 'pin-on':
      return say('people.donePinOn');
    case 'pin-off':
      return say('people.donePinOff');
    case 'others':
      return say('people.doneOthers');
    case 'one':
      return say('people.doneOne');
    case 'passkey-on':
      return say('people.donePasskeyOn');
    case 'passkey-off':
      return say('people.donePasskeyOff');
  }
}

function problemText(problem: AccountProblem): string {
  switch (problem) {
    case 'easy':
      return say('people.passwordEasy');
    case 'short':
      return say('people.passwordTooShort');
    case 'wrong':
      return say('people.passwordNowWrong');
    case 'code':
      return say('people.codeWrong');
    case 'pin':
      return say('people.pinWrongForm');
  }
}
