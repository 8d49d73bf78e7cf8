import { chainRepo } from '@/db/repositories/chain';
import { siteRepo, type Site } from '@/db/repositories/site';
import { newId } from '@/platform/ids';
import { askFor } from '../support/database';
import { fillSite } from '../support/large-site';
import { joinBy, sleep, startApp, type App } from '../support/app';
import { makeInvitation } from '../support/people';

/** Twenty people at once on three sites: each log holds what its own people sent, once; nobody waits for another site. */
const SITES = ['Hopyard Corner', 'Weir Meadow', 'Fen Lane'] as const;
const PEOPLE = 20;
/** `CROWD_NOTES=12` is the full number. */
const NOTES = Number(process.env.CROWD_NOTES ?? 4);
type Someone = { readonly site: number; readonly name: string; readonly cookie: string };
let app: App;
const sites: Site[] = [];
const batches: string[] = [];
const people: Someone[] = [];

beforeAll(async () => {
  app = await startApp();
  const { admin } = app.database;
  for (const name of SITES) {
    const site: Site = {
      ...{ id: newId(), name, timeZone: 'Europe/London', unit: 'C', demoUntil: null },
    };
    await siteRepo(admin).create(site);
    sites.push(site);
    const [batch = ''] = await fillSite(admin, site, { batches: 1, rounds: 3, now: Date.now() });
    batches.push(batch);
  }
  for (let i = 0; i < PEOPLE; i += 1) {
    const [site, name] = [i % SITES.length, `Person ${i}`];
    askFor(app.database.app, sites[site]!.id);
    const link = await makeInvitation(app, sites[site]!.id, 'recorder', name);
    people.push({ site, name, cookie: await joinBy(app.base, link, name, `person${i}`) });
  }
}, 180_000);
afterAll(() => app?.stop(), 60_000);

/** Words that name the site, the person and the note: on a page of another site they would be seen. */
const wordsOf = ({ site, name }: Someone, n: number): string => `only-${site} ${name} #${n}`;

/** Sends a note until it is taken, as a phone does, and asks for a page between. @returns what was wrong on the pages */
async function workOn(one: Someone): Promise<string[]> {
  const wrong: string[] = [];
  const headers = { cookie: one.cookie };
  for (let n = 0; n < NOTES; n += 1) {
    const entry = {
      ...{ id: newId(), batch: batches[one.site], kind: 'note', at: null, by: one.name },
      data: { words: wordsOf(one, n) },
    };
    const send = (): Promise<Response> =>
      fetch(`${app.base}/api/log`, {
        ...{ method: 'POST', headers: { ...headers, 'content-type': 'application/json' } },
        body: JSON.stringify({ sentAt: Date.now(), entries: [entry] }),
      });
    // Sent twice at once, as a phone with a bad signal does.
    for (let tries = 0; tries < 40; tries += 1) {
      const answers = await Promise.all([send(), send()]);
      const said = await Promise.all(
        answers.map(async (a) => ((await a.json()) as { answers: { ok: boolean }[] }).answers[0]),
      );
      if (said.some((a) => a?.ok)) break;
      await sleep(100 * (tries + 1));
    }
    const page = await fetch(`${app.base}${n % 2 ? '/entries' : `/batch/${batches[one.site]}`}`, {
      headers,
    });
    const text = await page.text();
    if (page.status !== 200) wrong.push(`${one.name}: ${page.status}`);
    for (const [i] of SITES.entries())
      if (i !== one.site && text.includes(`only-${i} `))
        wrong.push(`${one.name} read of site ${i}`);
    // What lies on another site is there for nobody else.
    const other = batches[(one.site + 1) % SITES.length];
    const strange = await fetch(`${app.base}/batch/${other}`, { headers });
    if (strange.status !== 404) wrong.push(`${one.name}: another site's batch ${strange.status}`);
  }
  return wrong;
}

test('each log holds what its people sent, once and in a whole chain; no page shows another site', async () => {
  const wrong = await Promise.all(people.map(workOn));
  expect(wrong.flat()).toEqual([]);
  for (const [i, site] of sites.entries()) {
    const rows = await app.database.admin
      .selectFrom('log_entry')
      .select('data')
      .where('site', '=', site.id)
      .where('kind', '=', 'note')
      .execute();
    const words = rows.map((r) => (r.data as { words: string }).words).sort();
    const sent = people
      .filter((one) => one.site === i)
      .flatMap((one) => Array.from({ length: NOTES }, (_, n) => wordsOf(one, n)));
    expect(words).toEqual(sent.sort());
    expect((await chainRepo(app.database.admin).checkChain(site.id)).faults).toEqual([]);
  }
}, 240_000);
