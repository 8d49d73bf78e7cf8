import { say } from '@/messages/say';
import { theDb } from '@/db/context';
import { ratesRepo } from '@/db/repositories/rates';
import { addressBlock } from '@/platform/address-block';
import { isFormOfPage } from '@/platform/body';
import { now } from '@/platform/clock';
import { newId } from '@/platform/ids';
import { log } from '@/platform/log';
import { currentAddress } from '@/platform/current-request';

/** Doors that write, with how often one address may use each in a minute. A phone sends up to a hundred entries in one request. */
const DOORS = {
  // What is being typed is asked about up to four times a second.
  ...{ log: 6000, photo: 600, import: 60, ask: 3000 },
  ...{
    'sign-in': 10,
    'sign-out': 60,
    join: 30,
    people: 60,
    account: 30,
    passkey: 30,
    code: 20,
    site: 60,
    calendar: 10,
    who: 60,
  },
} as const;
type Door = keyof typeof DOORS;
const MINUTE_MS = 60_000;
const KEEP_MS = 60 * MINUTE_MS;

type Answer = {
  readonly status: number;
  readonly message: string;
  readonly headers?: Record<string, string>;
};
/** A refusal: a sentence for a person where a page has asked, and for a program where one has. */
export const refuseAtDoor = (
  request: Request,
  { status, message, headers = {} }: Answer,
): Response =>
  isFormOfPage(request.headers)
    ? new Response(`${message}\n`, {
        status,
        headers: { ...headers, 'content-type': 'text/plain; charset=utf-8' },
      })
    : Response.json(
        {
          ok: false,
          now: now(),
          problem: message,
          problems: [{ path: '(request)', message }],
          answers: [],
        },
        { status, headers },
      );

/** Refuses an address that knocks too often. Null: it may pass. */
async function tooOften(door: Door, at: number): Promise<Answer | null> {
  const since = at - (at % MINUTE_MS);
  const rates = ratesRepo(theDb());
  const n = await rates.count(door, addressBlock(currentAddress()), since);
  // Once in a while, by whoever comes first in a new minute.
  if (n === 1) await rates.forget(at - KEEP_MS);
  if (n <= DOORS[door]) return null;
  const waitS = Math.ceil((since + MINUTE_MS - at) / 1000);
  return {
    ...{ status: 429, message: say('app.tooManyRequests', { waitS }) },
    headers: { 'retry-after': String(waitS) },
  };
}

/**
 * A route that writes, behind its door: used too often it waits, and what breaks is answered with a number that the log of the
 * server knows, without a word of what broke.
 */
export const atDoor =
  (door: Door, handle: (request: Request) => Promise<Response>) =>
  async (request: Request): Promise<Response> => {
    try {
      const refusal = await tooOften(door, now());
      return refusal ? refuseAtDoor(request, refusal) : await handle(request);
    } catch (error) {
      const number = newId().slice(-8);
      log.error(
        { number, door, error: error instanceof Error ? error.stack : error },
        'a door broke',
      );
      return refuseAtDoor(request, {
        status: 503,
        message: say('app.errorWithNumber', { number }),
      });
    }
  };
