import { say } from '@/messages/say';
import { readBody, refusedBody } from '@/platform/body';
import { MOST_QUESTION_BYTES } from '@/platform/body-limits';
import { parseJson } from '@/platform/json';
import { atDoor, refuseAtDoor } from './at-door';

type Schema<T> = {
  safeParse(
    sent: unknown,
  ): { readonly success: true; readonly data: T } | { readonly success: false };
};

/**
 * A route that answers what a form asks and writes nothing: counted by address like every door.
 * @param schema what may be asked; anything else is answered 400
 */
export const atQuestion = <T>(
  schema: Schema<T>,
  answer: (asked: T) => Promise<unknown>,
): ((request: Request) => Promise<Response>) =>
  atDoor('ask', async (request) => {
    const body = await readBody(request, MOST_QUESTION_BYTES);
    if (!body.ok) {
      const most = Math.round(MOST_QUESTION_BYTES / 1000);
      return refuseAtDoor(request, refusedBody(body, say('app.bodyTooLarge', { most })));
    }
    const parsed = parseJson(body.bytes.toString('utf8'));
    const asked = schema.safeParse(parsed.ok ? parsed.value : undefined);
    return asked.success
      ? Response.json(await answer(asked.data), { headers: { 'cache-control': 'no-store' } })
      : refuseAtDoor(request, { status: 400, message: say('app.notAsked') });
  });
