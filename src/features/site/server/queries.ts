import { theSite } from '@/db/context';
import { log } from '@/platform/log';

/** Answers once the database does. */
export async function health(): Promise<Response> {
  try {
    await theSite();
    return Response.json({ ok: true });
  } catch (error) {
    log.error({ error: error instanceof Error ? error.message : error }, 'the database does not answer');
    return Response.json({ ok: false, message: 'The database does not answer.' }, { status: 503 });
  }
}

export const hasSite = async (): Promise<boolean> => (await theSite()) !== null;
