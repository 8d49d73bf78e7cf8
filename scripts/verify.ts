import '../src/messages/all';
import { METRIC } from '../src/core/units/units';
import { languageOfTerminal } from '../src/messages/languages';
import { setSpeechSource } from '../src/messages/say';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { isKeyWord } from '../src/core/formats/origin';
import { answerVerify, type VerifyAnswer, type VerifyCall } from '../src/core/formats/verify-call';
import { FILE_PROBLEM } from '../src/core/words/file-problem';
import { FILE_PATH, problemLine } from '../src/core/words/problem';

const { LC_ALL, LC_MESSAGES, LANG } = process.env;
setSpeechSource(() => ({
  language: languageOfTerminal(LC_ALL || LC_MESSAGES || LANG),
  units: METRIC,
}));

const USAGE =
  'usage: ./zealous verify FILE [--rule ID]… [--as-of TIME] [--sealed] [--key KEY-OR-FILE] [--json]';

const unusable = (path: string, message: string): VerifyAnswer => ({
  out: '',
  errors: [problemLine({ path, message })],
  status: 2,
});

/** The key that somebody named: its name or itself, or a file that bears it: a batch file, a key's copy, or a text with it. */
function keyNamed(word: string): string | VerifyAnswer {
  if (isKeyWord(word)) return word;
  let text: string;
  try {
    text = readFileSync(word, 'utf8').trim();
  } catch {
    return unusable(
      '--key',
      `'${word}' is neither a key of 16 or 64 figures nor a file that can be read`,
    );
  }
  if (isKeyWord(text)) return text;
  try {
    const key = (JSON.parse(text) as { trail?: { seal?: { key?: unknown } } }).trail?.seal?.key;
    if (typeof key === 'string' && isKeyWord(key)) return key;
  } catch {
    // It is no JSON: said below.
  }
  return unusable(
    '--key',
    `'${word}' bears no key: give the one that is printed on a record, or a batch file that it signed`,
  );
}

type VerifyArguments = { file: string } & VerifyCall;
function readArguments(): VerifyArguments | VerifyAnswer {
  try {
    const { values, positionals } = parseArgs({
      allowPositionals: true,
      options: {
        rule: { type: 'string', multiple: true },
        'as-of': { type: 'string', multiple: true },
        json: { type: 'boolean' },
        key: { type: 'string' },
        sealed: { type: 'boolean' },
      },
    });
    const [file, extra] = positionals;
    if (file === undefined) return unusable('FILE', `no file was named; ${USAGE}`);
    if (extra !== undefined)
      return unusable('FILE', `one file at a time; '${extra}' is a second one`);
    const asOf = values['as-of'] ?? [];
    if (asOf.length > 1) return unusable('--as-of', 'was given more than once');
    const key = values.key === undefined ? undefined : keyNamed(values.key);
    if (typeof key === 'object') return key;
    return {
      ...{ file, rules: values.rule ?? [], asOf: asOf[0], json: values.json ?? false },
      ...{ key, sealed: values.sealed ?? false },
    };
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error);
    return unusable(
      /'?(--?[\w-]+)/.exec(message)?.[1] ?? '(call)',
      `${message.split('. ')[0]}; ${USAGE}`,
    );
  }
}

function run(): VerifyAnswer {
  const call = readArguments();
  if ('status' in call) return call;
  let bytes: Buffer;
  try {
    bytes = readFileSync(call.file);
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code;
    return unusable(
      FILE_PATH,
      `'${call.file}' cannot be read (${code === 'ENOENT' ? 'there is no such file' : (code ?? 'unknown reason')})`,
    );
  }
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return unusable(FILE_PATH, FILE_PROBLEM.notUtf8);
  }
  return answerVerify(text, call, (words) => createHash('sha256').update(words).digest('hex'));
}

let answer: VerifyAnswer;
try {
  answer = run();
} catch (error) {
  answer = unusable(
    FILE_PATH,
    `could not be reckoned (${error instanceof Error ? error.message : 'unknown reason'}); please report it with the file`,
  );
}
if (answer.errors.length > 0) process.stderr.write(`${answer.errors.join('\n')}\n`);
if (answer.out) process.stdout.write(`${answer.out}\n`);
process.exitCode = answer.status;
