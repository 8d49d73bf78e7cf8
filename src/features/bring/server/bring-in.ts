import { revalidatePath } from 'next/cache';
import { entriesOfFile } from '@/core/formats/entries-of-file';
import { fileOfBrought, rulesOfBrought } from '@/core/formats/bring';
import { pathText, type Problem } from '@/core/words/problem';
import { requireSite, theDb } from '@/db/context';
import { writeEntries } from '@/db/write';
import { now } from '@/platform/clock';
import { sha256 } from '@/platform/hash';
import { newId } from '@/platform/ids';
import { log } from '@/platform/log';
import { BringInput } from '../input';

const refuse = (problems: readonly Problem[], status = 422): Response => Response.json({ ok: false, problems }, { status });
/** PostgreSQL's text holds no NUL character; a file may. */
const UNTRANSLATABLE = '22P05';

/** Brings a batch in whole or not at all: one transaction of all its entries. */
export async function bringIn(request: Request): Promise<Response> {
  const body: unknown = await request.json().catch(() => null);
  const parsed = BringInput.safeParse(body);
  if (!parsed.success) return refuse(parsed.error.issues.map((i) => ({ path: pathText(i.path), message: i.message })), 400);
  const { openedId, by, bay, brought } = parsed.data;
  const file = fileOfBrought(brought, sha256);
  if (!file.ok) return refuse(file.problems);
  const site = await requireSite();
  try {
    await writeEntries(theDb(), site, entriesOfFile(file.file, { openedId, by, bay, rules: rulesOfBrought(file.file), newId }), now());
  } catch (error) {
    if ((error as { code?: string }).code === UNTRANSLATABLE) return refuse([{ path: '(file)', message: 'A text in it holds a character that cannot be kept (a zero byte). Remove it and try again.' }]);
    log.error({ error: error instanceof Error ? error.message : error }, 'a batch was not brought in');
    return refuse([{ path: '(file)', message: 'It could not be written just now, and nothing of it was kept. Try again.' }], 503);
  }
  revalidatePath('/', 'layout');
  return Response.json({ ok: true, batch: openedId });
}
