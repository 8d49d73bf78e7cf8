import Bowser from 'bowser';

/** What a browser calls itself, in words that somebody knows it by; null: it is none that is known. */
export function browserName(
  userAgent: string,
): { readonly browser: string; readonly system: string } | null {
  if (userAgent === '') return null;
  const { browser, os } = Bowser.parse(userAgent);
  return browser.name === undefined || os.name === undefined
    ? null
    : { browser: browser.name, system: os.name };
}
