import '../src/messages/all';
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { METRIC } from '../src/core/units/units';
import { answerTrace, type TraceAnswer } from '../src/core/flow/trace-call';
import { FILE_PROBLEM } from '../src/core/words/file-problem';
import { FILE_PATH, problemLine } from '../src/core/words/problem';
import { languageOfTerminal } from '../src/messages/languages';
import { setSpeechSource } from '../src/messages/say';

const { LC_ALL, LC_MESSAGES, LANG } = process.env;
setSpeechSource(() => ({
  language: languageOfTerminal(LC_ALL || LC_MESSAGES || LANG),
  units: METRIC,
}));

const USAGE =
  'usage: ./zealous trace FILE --unheated | --from LOT[,LOT] | --of LOT|FLOW  [--at TIME] [--json]';
const unusable = (path: string, message: string): TraceAnswer => ({
  out: '',
  errors: [problemLine({ path, message })],
  status: 2,
});

function run(): TraceAnswer {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      unheated: { type: 'boolean' },
      from: { type: 'string' },
      of: { type: 'string' },
      at: { type: 'string' },
      json: { type: 'boolean' },
    },
  });
  const [file, extra] = positionals;
  if (file === undefined) return unusable('FILE', `no file was named; ${USAGE}`);
  if (extra !== undefined)
    return unusable('FILE', `one file at a time; '${extra}' is a second one`);
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(readFileSync(file));
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    return unusable(
      FILE_PATH,
      code === 'ENOENT' ? `'${file}' cannot be read (there is no such file)` : FILE_PROBLEM.notUtf8,
    );
  }
  return answerTrace(text, {
    unheated: values.unheated ?? false,
    from: values.from,
    of: values.of,
    at: values.at,
    json: values.json ?? false,
  });
}

let answer: TraceAnswer;
try {
  answer = run();
} catch (error) {
  const why = error instanceof Error ? error.message.split('. ')[0] : 'unknown reason';
  answer = unusable('(call)', `${why}; ${USAGE}`);
}
if (answer.errors.length > 0) process.stderr.write(`${answer.errors.join('\n')}\n`);
if (answer.out) process.stdout.write(`${answer.out}\n`);
process.exitCode = answer.status;
