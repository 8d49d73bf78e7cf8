import fs from 'node:fs';
import path from 'node:path';
import { actionOfPath, ROUTES } from '@/entry/server/routes';

const APP = path.resolve(__dirname, '../../src/app');

/** Addresses of all pages and route handlers, as their folders say. */
function routesThereAre(dir = APP): string[] {
  return fs.readdirSync(dir, { withFileTypes: true }).flatMap((entry) => {
    const at = path.join(dir, entry.name);
    if (entry.isDirectory()) return routesThereAre(at);
    return ['page.tsx', 'route.ts'].includes(entry.name) ? [`/${path.relative(APP, dir)}`] : [];
  });
}

test('every route says what it asks of whoever opens it, and no route is named that is not there', () =>
  expect(Object.keys(ROUTES).sort()).toEqual(routesThereAre().sort()));

test('an address is held against the route that answers it', () => {
  const id = '01a1ab24-d440-7388-a1d8-5bef6f1bf167';
  for (const [at, action] of [
    ['/', 'see-site'],
    [`/batch/${id}`, 'see-site'],
    [`/batch/${id}/`, 'see-site'],
    [`/batch/${id}/file`, 'export'],
    ['/lots/season', 'see-site'],
    [`/p/${id}`, 'see-public'],
    [`/inspect/${id}`, 'see-inspection'],
    ['/api/log', 'see-site'],
    ['/_next/static/chunks/a.js', 'see-public'],
    ['/manifest.webmanifest', 'see-public'],
    ['/check-a-record.html', 'see-public'],
  ] as const)
    expect([at, actionOfPath(at)]).toEqual([at, action]);
});

test('an address that nobody knows is not open', () => {
  for (const at of [
    '/nothing',
    '/api/nothing',
    '/batch/x/file/y',
    '//',
    '/people/',
    '/_nextish',
    '/x/y.html',
  ])
    expect([at, actionOfPath(at) === 'see-public']).toEqual([at, false]);
});
