import fs from 'node:fs';
import { siteKey } from './site-key';
import { env } from './env';

/**
 * Small files beside the installation's key, outside the database: lines of JSON that the key has signed. What it did not sign, or
 * what was cut off by a full disk, says nothing.
 */
const SIGNATURE = /,"signature":"([0-9a-f]{128})"\}$/;
const ONLY_ME = 0o600;

/** A text of a JSON object with the signature over it as its last field; null: there is no key. */
function signLine(text: string): string | null {
  const key = siteKey();
  return key && `${text.slice(0, -1)},"signature":"${key.sign(text)}"}\n`;
}

/** The text that was signed; null: the key did not sign it. */
function signedText(line: string): string | null {
  const [end, signature] = SIGNATURE.exec(line) ?? [];
  if (end === undefined) return null;
  const text = `${line.slice(0, -end.length)}}`;
  return siteKey()?.sign(text) === signature ? text : null;
}

/** What was read of a file: which state of it, the texts in it, and what each line was found to say. */
type Read = {
  readonly stamp: string;
  readonly texts: readonly string[];
  readonly said: ReadonlyMap<string, string | null>;
};
/** A file is read again when it was changed; a signature is checked once. */
const readFiles = new Map<string, Read>();

function readTexts(file: string): readonly string[] {
  const { size, ino, mtimeMs } = fs.statSync(file);
  const stamp = `${ino}:${size}:${mtimeMs}`;
  const known = readFiles.get(file);
  if (known?.stamp === stamp) return known.texts;
  const said = new Map<string, string | null>();
  for (const line of fs.readFileSync(file, 'utf8').split('\n'))
    said.set(line, known?.said.get(line) ?? signedText(line));
  const texts = [...said.values()].filter((text) => text !== null);
  readFiles.set(file, { stamp, texts, said });
  return texts;
}

/** Where a file of this name lies beside the key; null: there is no key. @param name such as `heads`: `site-key.heads` beside `site-key.pem` */
export function besideKey(name: string): string | null {
  const keyFile = env.keyFile();
  return keyFile === null || siteKey() === null ? null : `${keyFile.replace(/\.pem$/, '')}.${name}`;
}

/** A file that lines are added to, and that is never written anew. @param name of it beside the key */
export function signedLines(name: string) {
  const file = besideKey(name);
  const isThere = (): boolean => file !== null && fs.existsSync(file);
  /** One that is gone is not begun again by the next line, so that it can be told. */
  const add = (text: string): void => {
    if (file !== null && isThere()) fs.appendFileSync(file, text);
  };
  return {
    isThere,
    /** Begins it, unless it is there. @param firstLine says what it is; it bears no signature */
    begin(firstLine: string): void {
      if (file !== null && !isThere())
        fs.writeFileSync(file, `${firstLine}\n`, { mode: ONLY_ME, flag: 'wx' });
    },
    /** Adds a text of a JSON object, signed. */
    add(text: string): void {
      const line = signLine(text);
      if (line !== null) add(line);
    },
    /** The texts of all lines that the key has signed, in their order. */
    texts: (): readonly string[] => (file !== null && isThere() ? readTexts(file) : []),
    /** The whole file, for a copy of it; empty: it is not there. */
    copy: (): string => (file !== null && isThere() ? fs.readFileSync(file, 'utf8') : ''),
    /** Adds the lines of another copy that are missing here. */
    join(copy: string): void {
      const there = new Set(this.copy().split('\n'));
      add(
        copy
          .split('\n')
          .filter((line) => line !== '' && !there.has(line))
          .map((line) => `${line}\n`)
          .join(''),
      );
    },
  };
}

/** A file of one signed line that is replaced as a whole. @param name of it beside the key */
export function signedFile(name: string) {
  const file = besideKey(name);
  return {
    /** The text in it; null: there is none that the key has signed. */
    read: (): string | null =>
      file !== null && fs.existsSync(file)
        ? signedText(fs.readFileSync(file, 'utf8').trimEnd())
        : null,
    replace(text: string): void {
      const line = signLine(text);
      if (file === null || line === null) return;
      fs.writeFileSync(`${file}.${process.pid}`, line, { mode: ONLY_ME });
      fs.renameSync(`${file}.${process.pid}`, file);
    },
    remove: (): void => {
      if (file !== null) fs.rmSync(file, { force: true });
    },
  };
}

/** A number that stands alone in a file beside the key; 0: there is none. */
export function readVersion(name: string): number {
  const file = besideKey(name);
  return file !== null && fs.existsSync(file) ? Number(fs.readFileSync(file, 'utf8')) || 0 : 0;
}
export function keepVersion(name: string, version: number): void {
  const file = besideKey(name);
  if (file !== null) fs.writeFileSync(file, `${version}\n`, { mode: ONLY_ME });
}
