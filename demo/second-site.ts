import type { NewEntry } from '@/core/log/entry';
import { batchIdOf, requireEntryId } from '@/core/log/ids';
import { MS } from '@/core/quantity/instant';
import type { Db } from '@/db/client';
import { memberRepo } from '@/db/repositories/members';
import { siteRepo, type Site } from '@/db/repositories/site';
import { writeEntries } from '@/db/write';
import { idAt, newId } from '@/platform/ids';

const PLACES = ['P1', 'P2', 'P3', 'P4', 'P5'];
/** Hours before now at which the small site was read, with its coldest place, °C. */
const ROUNDS: readonly (readonly [number, number])[] = [
  ...([
    [92, 34],
    [70, 47],
    [46, 55],
    [22, 58],
    [3, 59],
  ] as const),
];

/** A second, small site of two of the demo's people: one batch, a few days old. */
export async function layUpSecondSite(db: Db, now: number): Promise<Site> {
  const site: Site = {
    id: newId(),
    name: 'Weir Meadow',
    timeZone: 'Europe/London',
    unit: 'C',
    demoUntil: now,
  };
  await siteRepo(db).create(site);
  for (const [person, role] of [
    ['demo-mo', 'manager'],
    ['demo-sam', 'recorder'],
  ] as const)
    await memberRepo(db).setMember({ site: site.id, person, role, partner: null }, now + 1);
  const start = now - 4 * MS.day;
  const id = requireEntryId(idAt(start));
  const opened = {
    ...{ id, batch: id, at: start, by: 'Mo', kind: 'opened' },
    data: {
      ...{ code: 'A', name: 'Dipper', method: 'turned', bay: '1', shape: 'windrow' },
      points: PLACES.map((p) => ({ id: p, label: p, zone: 'core', depthM: 0.9 })),
      ...{ policy: {}, rules: ['us-503-pfrp-turned'], ownRules: [] },
    },
  } as unknown as NewEntry;
  const batch = batchIdOf(opened);
  const entry = (hoursAgo: number, kind: NewEntry['kind'], data: object): NewEntry => {
    const at = now - hoursAgo * MS.hour;
    return {
      id: requireEntryId(idAt(at)),
      batch,
      at,
      by: 'Sam',
      kind,
      data,
    } as unknown as NewEntry;
  };
  const rounds = ROUNDS.map(([hoursAgo, coldest]) => {
    const at = new Date(now - hoursAgo * MS.hour).toISOString();
    const round = newId();
    return entry(hoursAgo, 'round', {
      source: 'hand',
      readings: PLACES.map((point, i) => ({
        ...{ id: `${round}.${i + 1}`, at, point, value: coldest + ((i * 3) % 5), unit: 'C', round },
      })),
    });
  });
  const entries = [opened, entry(95, 'built', {}), ...rounds];
  await writeEntries(db, site, entries, now, (e) => e.at);
  return site;
}
