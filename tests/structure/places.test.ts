import fs from 'node:fs';
import path from 'node:path';
import {
  alwaysOffline,
  keptOffline,
  keyHelp,
  listPlaces,
  navigationPlaces,
  placeByKey,
  PLACES,
  type Place,
} from '@/core/words/places';
import { actionOfPath } from '@/entry/server/routes';

const APP = path.resolve(__dirname, '../../src/app');

/** Addresses of the pages that need no id, as their folders say. */
function pageAddresses(dir = APP): string[] {
  return fs.readdirSync(dir, { withFileTypes: true }).flatMap((entry) => {
    if (entry.isDirectory())
      return entry.name.startsWith('[') ? [] : pageAddresses(path.join(dir, entry.name));
    return entry.name === 'page.tsx' ? [`/${path.relative(APP, dir)}`] : [];
  });
}

/** What a page asks of whoever opens it, where it is about them and not about the site. */
const ABOUT_PEOPLE = ['see-public', 'see-account', 'see-own-share', 'manage-people'];

test('every page of the site that needs no id is in the table, and every place has its page', () =>
  expect(
    listPlaces()
      .map((p) => p.href)
      .sort(),
  ).toEqual(
    pageAddresses()
      .filter((at) => !ABOUT_PEOPLE.includes(actionOfPath(at)))
      .sort(),
  ));

test('every page takes its title from the table', () => {
  for (const { href } of listPlaces().filter((p) => p.id !== 'yard')) {
    const source = fs.readFileSync(path.join(APP, href, 'page.tsx'), 'utf8');
    expect([href, /get title\(\) \{\s*return PLACES[.[][^;}]*name/.test(source)]).toEqual([
      href,
      true,
    ]);
  }
});

test('each place of the navigation has a key of its own, and none is taken twice', () => {
  const keys = navigationPlaces().map((p) => p.key);
  expect(keys).not.toContain(undefined);
  const all = listPlaces().flatMap((p) => p.key ?? []);
  expect(new Set(all).size).toBe(all.length);
  // G itself, and U and ? that do something on every page.
  for (const taken of ['g', 'u', '?']) expect(all).not.toContain(taken);
});

test('what opens with no network is few, and the fire card is among it', () => {
  expect(alwaysOffline()).toEqual(expect.arrayContaining(['/', '/round', '/waiting', '/fire']));
  expect(keptOffline()).toEqual(expect.arrayContaining(alwaysOffline()));
  expect(keptOffline().length).toBeLessThan(12);
});

test('a place that nobody knew before is in the navigation, the keys, the help and on the device', () => {
  const orchard: Place = {
    href: '/orchard',
    name: 'Orchard',
    nav: 'more',
    key: '9',
    offline: 'always',
  };
  const table = { ...PLACES, orchard };
  expect(navigationPlaces(table)).toContainEqual({ id: 'orchard', ...orchard });
  expect(placeByKey('9', table)?.href).toBe('/orchard');
  expect(keyHelp(table).places).toMatch(/, 9 Orchard$/);
  expect(alwaysOffline(table)).toContain('/orchard');
  expect(keptOffline(table)).toContain('/orchard');
});
