import type { Db } from '../client';

/** PINs of names on shared phones. A PIN names whose hand it is; what a phone may do it does not change. */
export const pinRepo = (db: Db) => ({
  /** The hash of somebody's PIN on a site; null: their name asks for none. */
  async pinHashOf(site: string, person: string): Promise<string | null> {
    const row = await db
      .selectFrom('member')
      .select('pin_hash')
      .where('site', '=', site)
      .where('person', '=', person)
      .executeTakeFirst();
    return row?.pin_hash ?? null;
  },
  /** Sets somebody's PIN, or takes it away; phones that knew the old one ask again. */
  async setPin(site: string, person: string, hash: string | null): Promise<void> {
    await db
      .updateTable('member')
      .set({ pin_hash: hash })
      .where('site', '=', site)
      .where('person', '=', person)
      .execute();
    await db
      .deleteFrom('device_hand')
      .where('site', '=', site)
      .where('person', '=', person)
      .execute();
  },
  /** Keeps that somebody has said their PIN on a phone. */
  async noteHand(hand: { site: string; device: string; person: string }, at: number) {
    await db
      .insertInto('device_hand')
      .values({ ...hand, since: new Date(at) })
      .onConflict((c) => c.columns(['device', 'person']).doNothing())
      .execute();
  },
  /** Whether somebody has said their PIN on a phone. */
  async isHand(device: string, person: string): Promise<boolean> {
    const row = await db
      .selectFrom('device_hand')
      .select('since')
      .where('device', '=', device)
      .where('person', '=', person)
      .executeTakeFirst();
    return row !== undefined;
  },
});
