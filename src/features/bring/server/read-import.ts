import { issueText } from '@/core/words/issue-text';
import { say } from '@/messages/say';
import { fileOfBrought, rulesOfBrought } from '@/core/formats/bring';
import { entriesOfFile } from '@/core/formats/entries-of-file';
import { canonicalJson, type NewEntry } from '@/core/log/entry';
import { requireEntryId } from '@/core/log/ids';
import { textFault } from '@/core/log/sound-text';
import { FILE_PROBLEM } from '@/core/words/file-problem';
import { DOOR_PROBLEM } from '@/core/words/door-problem';
import { pathText, type Problem } from '@/core/words/problem';
import { sha256 } from '@/platform/hash';
import { idFrom } from '@/platform/ids';
import { boundsProblem } from '@/entry/bounds-problem';
import { parseJson } from '@/platform/json';
import { BringInput } from '../input';

/** An import as entries, with the digest of what was imported; or what is wrong with it. */
export type ReadImport =
  | { readonly ok: true; readonly entries: readonly NewEntry[]; readonly digest: string }
  | { readonly ok: false; readonly problems: readonly Problem[]; readonly status: 400 | 422 };

/** So many entries are named that are out of bounds. */
const MOST_NAMED = 20;

const refused = (problems: readonly Problem[], status: 400 | 422 = 422): ReadImport => ({
  ok: false,
  problems,
  status,
});

/**
 * Reads and judges what a page has sent to be imported.
 * @param bytes its body: JSON in UTF-8
 */
export function readImport(bytes: Uint8Array): Promise<ReadImport> {
  return Promise.resolve(readNow(Buffer.from(bytes).toString('utf8')));
}

function readNow(text: string): ReadImport {
  const json = parseJson(text);
  if (!json.ok && json.why === 'deep')
    return refused([{ path: '(file)', message: say('app.tooDeep') }]);
  const parsed = BringInput.safeParse(json.ok ? json.value : null, { error: issueText });
  if (!parsed.success)
    return refused(
      parsed.error.issues.map((i) => ({ path: pathText(i.path), message: i.message })),
      400,
    );
  const { openedId, by, bay, brought, rules } = parsed.data;
  const file = fileOfBrought(brought, sha256);
  if (!file.ok) return refused(file.problems);
  const fault = textFault(file.file) ?? textFault({ by, bay });
  if (fault)
    return refused([
      { path: pathText(fault.path), message: DOOR_PROBLEM.unsoundText(fault.fault) },
    ]);
  const chosen = rulesOfBrought(file.file, rules);
  if (!chosen.ok)
    return refused([{ path: 'rules', message: FILE_PROBLEM.unknownRule(chosen.unknown) }]);
  const digest = sha256(brought.kind === 'file' ? brought.text : canonicalJson(brought));
  const entries = entriesOfFile(file.file, {
    openedId,
    by,
    bay,
    digest,
    rules: chosen.rules,
    // By their numbers alone: sent again in another language they are the same.
    idOf: (n) => requireEntryId(idFrom(openedId, `entry ${n}`)),
  });
  const outOfBounds = entries.flatMap((e) => boundsProblem(e) ?? []);
  return outOfBounds.length > 0
    ? refused(outOfBounds.slice(0, MOST_NAMED))
    : { ok: true, entries, digest };
}
