import '../src/messages/all';
import { METRIC } from '../src/core/units/units';
import { languageOfTerminal } from '../src/messages/languages';
import { setSpeechSource } from '../src/messages/say';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { answerVerify, type VerifyAnswer } from '../src/core/formats/verify-call';
import { FILE_PATH, PROBLEM, problemLine } from '../src/core/words/problem';

const { LC_ALL, LC_MESSAGES, LANG } = process.env;
setSpeechSource(() => ({
  language: languageOfTerminal(LC_ALL || LC_MESSAGES || LANG),
  units: METRIC,
}));

const USAGE = 'usage: ./zealous verify FILE [--rule ID]… [--as-of TIME] [--json]';

const unusable = (path: string, message: string): VerifyAnswer => ({
  out: '',
  errors: [problemLine({ path, message })],
  status: 2,
});

function readArguments():
  { file: string; rules: string[]; asOf: string | undefined; json: boolean } | VerifyAnswer {
  try {
    const { values, positionals } = parseArgs({
      allowPositionals: true,
      options: {
        rule: { type: 'string', multiple: true },
        'as-of': { type: 'string', multiple: true },
        json: { type: 'boolean' },
      },
    });
    const [file, extra] = positionals;
    if (file === undefined) return unusable('FILE', `no file was named; ${USAGE}`);
    if (extra !== undefined)
      return unusable('FILE', `one file at a time; '${extra}' is a second one`);
    const asOf = values['as-of'] ?? [];
    if (asOf.length > 1) return unusable('--as-of', 'was given more than once');
    return { file, rules: values.rule ?? [], asOf: asOf[0], json: values.json ?? false };
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
    return unusable(FILE_PATH, PROBLEM.notUtf8);
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
