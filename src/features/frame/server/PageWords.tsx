import fs from 'node:fs';
import path from 'node:path';
import { headers } from 'next/headers';
import Script from 'next/script';
import { CATALOGUES, METHOD_TEXTS } from '@/messages/catalogues';
import type { Language } from '@/messages/languages';
import { currentLanguage } from '@/messages/say';

/** The scripts that the build has made of the texts, by language; null: there is no build (the development server). */
const FILES = ((): Readonly<Record<Language, string>> | null => {
  const list = path.join(process.cwd(), 'words.json');
  return fs.existsSync(list)
    ? (JSON.parse(fs.readFileSync(list, 'utf8')) as Readonly<Record<Language, string>>)
    : null;
})();

const inline = (language: Language): string =>
  `(globalThis[Symbol.for('zealous-heap.messages')]??={catalogues:new Map(),translators:new Map(),asked:()=>'en'}).catalogues.set('${language}',${JSON.stringify(CATALOGUES[language]).replace(/</g, '\\u003c')});globalThis[Symbol.for('zealous-heap.messages')].asked=()=>'${language}';(globalThis[Symbol.for('zealous-heap.library-texts')]??=new Map()).set('${language}',${JSON.stringify(METHOD_TEXTS[language])})`;

/** Brings a page the texts that its scripts say, before any of them is run. */
export async function PageWords() {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  const language = currentLanguage();
  // The root layout is where the App Router takes such scripts from; the rule knows the older router.
  return FILES ? (
    // eslint-disable-next-line @next/next/no-before-interactive-script-outside-document
    <Script
      id="words"
      nonce={nonce}
      strategy="beforeInteractive"
      src={`/_next/static/words/${FILES[language]}`}
    />
  ) : (
    // eslint-disable-next-line @next/next/no-before-interactive-script-outside-document
    <Script id="words" nonce={nonce} strategy="beforeInteractive">
      {inline(language)}
    </Script>
  );
}
