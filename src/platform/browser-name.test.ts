import { browserName } from './browser-name';

// What browsers send, as their makers document it; versions made up.
test.each([
  [
    'Mozilla/5.0 (Windows NT 10.0; Win64; x64; rv:130.0) Gecko/20100101 Firefox/130.0',
    { browser: 'Firefox', system: 'Windows' },
  ],
  [
    'Mozilla/5.0 (Linux; Android 14; K) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/130.0.0.0 Mobile Safari/537.36',
    { browser: 'Chrome', system: 'Android' },
  ],
  ['curl/8.9.1', null],
  ['', null],
])('%s', (userAgent, name) => expect(browserName(userAgent)).toEqual(name));
