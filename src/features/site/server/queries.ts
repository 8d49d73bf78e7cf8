import { say } from '@/messages/say';
import { currentAccess, theDb, theHealthDb } from '@/db/context';
import { siteRepo } from '@/db/repositories/site';
import { missingMigrations } from '@/db/migrate';
import { log } from '@/platform/log';

const ANSWER_MS = 800;
const late = (): Promise<never> =>
  new Promise((_, reject) => {
    setTimeout(() => reject(new Error(`no answer within ${ANSWER_MS} ms`)), ANSWER_MS).unref();
  });

/** Answers within a second, whatever the database does. */
export async function health(): Promise<Response> {
  try {
    await Promise.race([siteRepo(theHealthDb()).ids(), late()]);
    return Response.json({ ok: true });
  } catch (error) {
    log.error(
      { error: error instanceof Error ? error.message : error },
      'the database does not answer',
    );
    return Response.json(
      { ok: false, message: say('site.theDatabaseDoesNotAnswer') },
      { status: 503 },
    );
  }
}

/** Whether the server can do its work: the database answers, and has the form that this version needs. */
export async function ready(): Promise<Response> {
  try {
    const missing = await Promise.race([missingMigrations(theHealthDb()), late()]);
    return Response.json(
      { ok: missing.length === 0, missing },
      { status: missing.length === 0 ? 200 : 503, headers: { 'cache-control': 'no-store' } },
    );
  } catch {
    return Response.json(
      { ok: false, message: say('site.theDatabaseDoesNotAnswer') },
      { status: 503 },
    );
  }
}

/** Whether whoever asks may name a site: the first one of the installation, or as a manager a further one. */
export async function mayNameSite(): Promise<boolean> {
  const { person, role } = await currentAccess();
  if (person === null) return false;
  return role === 'manager' || (await siteRepo(theDb()).ids()).length === 0;
}
