import type { BatchId } from '@/core/log/ids';
import type { Locale } from '@/core/words/note';
import { theDb } from '@/db/context';
import { readBatchState } from '@/db/repositories/states';
import { logLines, type LogLineView } from '../view';

/** Lines of a heap's log, newest first, behind so many that are known. Null: there is no such heap. */
export async function loadLogLines(
  id: BatchId,
  from: number,
  count: number,
  locale: Locale,
): Promise<LogLineView[] | null> {
  const state = await readBatchState(theDb(), id);
  return state && logLines(state, locale, from, count);
}
