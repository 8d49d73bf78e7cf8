import { sql } from 'kysely';
import { deviceRepo } from '@/db/repositories/devices';
import { auditRepo } from '@/db/repositories/audit';
import {
  INVITATION_MS,
  invitationRepo,
  type InvitationState,
  type NewInvitation,
} from '@/db/repositories/invitations';
import { memberRepo } from '@/db/repositories/members';
import { passkeyRepo, type Passkey } from '@/db/repositories/passkeys';
import { pinRepo } from '@/db/repositories/pins';
import { ratesRepo } from '@/db/repositories/rates';
import type { Site } from '@/db/repositories/site';
import { newId } from '@/platform/ids';
import { createToken } from '@/platform/token';
import { aSite, askFor, freshDatabase } from '../support/database';

/** People, links, phones and counts as the application's own role keeps them: at once, too late, twice, and on another site. */
const NOW = Date.UTC(2026, 4, 20, 12);
const MINUTE = 60_000;
let t: Awaited<ReturnType<typeof freshDatabase>>;
let site: Site;
let other: Site;
beforeAll(async () => {
  t = await freshDatabase();
  [other, site] = [await aSite(t.app), await aSite(t.app)];
  for (const [id, name] of [
    ['mo', 'Mo'],
    ['jo', 'Jo'],
  ] as const)
    await memberRepo(t.admin).createDemoPerson(id, name);
}, 60_000);
afterAll(() => t.drop());
beforeEach(() => askFor(t.app, site.id));

describe('links that let in', () => {
  const links = () => invitationRepo(t.app);
  async function made(more: Partial<NewInvitation> = {}) {
    const { token, tokenHash } = createToken();
    const id = await links().invite({
      ...{ site: site.id, letsIn: 'person', role: 'crew', name: 'Siskin', partner: null },
      ...{ madeBy: 'mo', madeAt: NOW, expiresAt: NOW + INVITATION_MS, tokenHash },
      ...more,
    });
    return { id, token, tokenHash };
  }
  const stateOf = async (tokenHash: string, now = NOW): Promise<InvitationState | null> =>
    (await links().invitationOf(tokenHash, now))?.state ?? null;

  test('of twenty who use one at once, one is let in', async () => {
    const { id, tokenHash } = await made();
    const used = await Promise.all(
      Array.from({ length: 20 }, (_, i) => links().useInvitation(id, NOW + i)),
    );
    expect(used.filter(Boolean)).toHaveLength(1);
    expect(await stateOf(tokenHash)).toBe('used');
  });

  test('it holds for a week, to the moment', async () => {
    const { id, tokenHash } = await made();
    const end = NOW + 7 * 24 * 60 * MINUTE;
    expect(await stateOf(tokenHash, end - 1)).toBe('open');
    expect(await stateOf(tokenHash, end)).toBe('late');
    expect(await links().useInvitation(id, end)).toBe(false);
    expect(await links().useInvitation(id, end - 1)).toBe(true);
  });

  test('one that was withdrawn lets nobody in; one that was used is not withdrawn afterwards', async () => {
    const [gone, used] = [await made(), await made()];
    await links().withdrawInvitation(site.id, gone.id, NOW);
    expect(await links().useInvitation(gone.id, NOW + 1)).toBe(false);
    expect(await stateOf(gone.tokenHash)).toBe('withdrawn');
    await links().useInvitation(used.id, NOW);
    await links().withdrawInvitation(site.id, used.id, NOW + 1);
    expect(await stateOf(used.tokenHash)).toBe('used');
  });

  test('nobody withdraws or sees those of another site, and the link itself is kept nowhere', async () => {
    const { id, token, tokenHash } = await made();
    askFor(t.app, other.id);
    await links().withdrawInvitation(site.id, id, NOW);
    expect(await links().openInvitations(site.id, NOW)).toEqual([]);
    // Whoever holds the link is led to its site before that is known.
    expect(await links().siteOfToken(tokenHash)).toBe(site.id);
    expect(await links().siteOfToken(createToken().tokenHash)).toBeNull();
    askFor(t.app, site.id);
    expect((await links().openInvitations(site.id, NOW)).map((i) => i.id)).toContain(id);
    const { rows } = await sql<{ row: string }>`
      select invitation::text as row from invitation`.execute(t.admin);
    expect(rows.some(({ row }) => row.includes(token))).toBe(false);
  });

  test('once a first manager has come in, the other first links let nobody in; invitations do', async () => {
    const first = { letsIn: 'first', role: null, site: null, name: null, madeBy: null } as const;
    const [one, two, crew] = [await made(first), await made(first), await made()];
    expect(await links().useInvitation(one.id, NOW)).toBe(true);
    await links().withdrawFirstLinks(NOW);
    expect(await links().useInvitation(two.id, NOW)).toBe(false);
    expect(await stateOf(one.tokenHash)).toBe('used');
    expect(await links().useInvitation(crew.id, NOW)).toBe(true);
  });
});

describe('places', () => {
  const members = () => memberRepo(t.app);
  const placesOf = async (person: string): Promise<string[]> =>
    (await members().memberships(person)).map((m) => `${m.site} ${m.role}`);

  test('one place on each site; another role takes the place of the first', async () => {
    const mo = { person: 'mo', partner: null };
    await members().setMember({ ...mo, site: site.id, role: 'crew' }, NOW);
    await members().setMember({ ...mo, site: site.id, role: 'manager' }, NOW + 1);
    askFor(t.app, other.id);
    await members().setMember({ ...mo, site: other.id, role: 'trainee' }, NOW + 2);
    expect((await placesOf('mo')).sort()).toEqual(
      [`${site.id} manager`, `${other.id} trainee`].sort(),
    );
    expect((await members().members(other.id)).map((m) => m.role)).toEqual(['trainee']);
    // Of the other site nothing is seen, whoever it is asked for.
    expect(await members().members(site.id)).toEqual([]);
  });

  test('whoever is taken off has no place from then on, and may come back as something else', async () => {
    const jo = { site: site.id, person: 'jo', partner: null };
    await members().setMember({ ...jo, role: 'recorder' }, NOW);
    await members().endMembership(site.id, 'jo', NOW + 1);
    expect(await placesOf('jo')).toEqual([]);
    expect((await members().members(site.id)).map((m) => m.name)).not.toContain('Jo');
    await members().setMember({ ...jo, role: 'crew' }, NOW + 2);
    expect(await placesOf('jo')).toEqual([`${site.id} crew`]);
  });

  test('a site is not managed from another one', async () => {
    askFor(t.app, other.id);
    const intruder = { site: site.id, person: 'jo', role: 'manager', partner: null } as const;
    await expect(members().setMember(intruder, NOW)).rejects.toThrow(/row-level security/);
    await members().endMembership(site.id, 'mo', NOW);
    expect(await placesOf('mo')).toContain(`${site.id} manager`);
  });
});

describe('shared phones', () => {
  const phones = () => deviceRepo(t.app);
  async function enrolled(name = 'Blue phone') {
    const { token, tokenHash } = createToken();
    const id = await phones().enrolDevice(
      { site: site.id, name, tokenHash, enrolledBy: 'mo' },
      NOW,
    );
    return { id, token, tokenHash };
  }

  test('it is known by its key alone, until it is disconnected; then it is known as that', async () => {
    const { id, tokenHash } = await enrolled();
    expect(await phones().siteOfToken(tokenHash)).toBe(site.id);
    expect(await phones().deviceByToken(tokenHash)).toMatchObject({ id, revoked: false });
    expect(await phones().deviceByToken(createToken().tokenHash)).toBeNull();
    await phones().revokeDevice(site.id, id, 'mo', NOW + MINUTE);
    expect(await phones().deviceByToken(tokenHash)).toMatchObject({ id, revoked: true });
  });

  test('disconnecting it again leaves the time of the first', async () => {
    const { id } = await enrolled();
    await phones().revokeDevice(site.id, id, 'mo', NOW + MINUTE);
    await phones().revokeDevice(site.id, id, 'jo', NOW + 5 * MINUTE);
    const listed = (await phones().devices(site.id)).find((d) => d.id === id);
    expect(listed).toMatchObject({ revokedAt: NOW + MINUTE, lastSeenAt: null });
  });

  test('it is not disconnected from another site', async () => {
    const { id, tokenHash } = await enrolled();
    askFor(t.app, other.id);
    await phones().revokeDevice(site.id, id, 'jo', NOW);
    await phones().noteDeviceSeen(id, NOW);
    expect(await phones().deviceByToken(tokenHash)).toBeNull();
    askFor(t.app, site.id);
    expect(await phones().deviceByToken(tokenHash)).toMatchObject({ revoked: false, seenAt: 0 });
  });

  test('a PIN that changes is asked for again on every phone; saying it twice is saying it', async () => {
    const [{ id: blue }, { id: red }] = [await enrolled(), await enrolled('Red phone')];
    const pins = pinRepo(t.app);
    const hand = { site: site.id, person: 'mo' };
    await pins.setPin(site.id, 'mo', 'the hash of one');
    await pins.noteHand({ ...hand, device: blue }, NOW);
    await pins.noteHand({ ...hand, device: blue }, NOW + 1);
    expect([await pins.isHand(blue, 'mo'), await pins.isHand(red, 'mo')]).toEqual([true, false]);
    await pins.setPin(site.id, 'mo', 'the hash of another');
    expect(await pins.isHand(blue, 'mo')).toBe(false);
    expect(await pins.pinHashOf(site.id, 'mo')).toBe('the hash of another');
    await pins.setPin(site.id, 'mo', null);
    expect(await pins.pinHashOf(site.id, 'mo')).toBeNull();
    expect(await pins.pinHashOf(site.id, 'nobody')).toBeNull();
  });
});

describe('passkeys', () => {
  const keys = () => passkeyRepo(t.admin);
  const keyOf = (person: string, id = newId()): Passkey => ({
    ...{ id, person, name: 'Blue laptop', publicKey: Uint8Array.from([1, 2, 255, 0]), counter: 0 },
    ...{ transports: ['internal', 'hybrid'], madeAt: NOW },
  });

  test('it comes back as it was kept, byte for byte, and counts its uses', async () => {
    const key = keyOf('mo');
    await keys().add(key);
    expect(await keys().find(key.id)).toEqual(key);
    // Counters of devices go up to 2 ** 32 - 1 (WebAuthn, section 6.1).
    await keys().noteUse(key.id, 4_294_967_295, NOW + 1);
    expect((await keys().find(key.id))?.counter).toBe(4_294_967_295);
    expect(await keys().find('somebody made it up')).toBeNull();
  });

  test('nobody takes away somebody else’s; whoever lost a device loses all of their own', async () => {
    const [mine, also, yours] = [keyOf('mo'), keyOf('mo'), keyOf('jo')];
    for (const key of [mine, also, yours]) await keys().add(key);
    await keys().remove('jo', mine.id);
    expect(await keys().find(mine.id)).not.toBeNull();
    await keys().remove('mo', mine.id);
    expect(await keys().find(mine.id)).toBeNull();
    await keys().removeAll('mo');
    expect(await keys().ofPerson('mo')).toEqual([]);
    expect((await keys().ofPerson('jo')).map((k) => k.id)).toEqual([yours.id]);
  });

  test('two accounts cannot have the same', async () => {
    const key = keyOf('mo');
    await keys().add(key);
    await expect(keys().add({ ...key, person: 'jo' })).rejects.toThrow(/duplicate key/);
  });
});

describe('uses of doors', () => {
  test('a hundred at once are counted as a hundred, each address and span for itself', async () => {
    const rates = ratesRepo(t.app);
    const counted = await Promise.all(
      Array.from({ length: 100 }, () => rates.count('sign-in', '192.0.2.7', NOW)),
    );
    expect(counted.toSorted((a, b) => a - b)).toEqual(Array.from({ length: 100 }, (_, i) => i + 1));
    expect(await rates.count('sign-in', '192.0.2.8', NOW)).toBe(1);
    expect(await rates.count('join', '192.0.2.7', NOW)).toBe(1);
    expect(await rates.count('sign-in', '192.0.2.7', NOW + 15 * MINUTE)).toBe(1);
    // What is forgotten is what began before; the span in hand goes on.
    await rates.forget(NOW + MINUTE);
    expect(await rates.count('sign-in', '192.0.2.7', NOW)).toBe(1);
    expect(await rates.count('sign-in', '192.0.2.7', NOW + 15 * MINUTE)).toBe(2);
  });
});

describe('what happened at the door', () => {
  test('the newest first, of one’s own site alone, and never changed or taken away', async () => {
    const audit = auditRepo(t.app);
    for (const n of [1, 2, 3])
      await audit.audit(
        { event: 'signed-in', site: site.id, who: 'mo', about: { n: String(n) } },
        NOW + n,
      );
    expect((await audit.auditEvents(site.id, 2)).map((e) => e.about.n)).toEqual(['3', '2']);
    await expect(sql`update audit_event set who = 'jo'`.execute(t.app)).rejects.toThrow(
      /permission denied/,
    );
    await expect(sql`delete from audit_event`.execute(t.app)).rejects.toThrow(/permission denied/);
    askFor(t.app, other.id);
    expect(await audit.auditEvents(site.id, 10)).toEqual([]);
  });
});
