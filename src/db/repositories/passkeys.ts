import type { Db } from '../client';

/** A passkey of somebody's account. */
export type Passkey = {
  /** What the device calls it. */ readonly id: string;
  readonly person: string;
  readonly name: string;
  readonly publicKey: Uint8Array<ArrayBuffer>;
  /** How often it was used, as far as its device counts that. */ readonly counter: number;
  /** How it is reached: on this device, by cable, through the air. */
  readonly transports: readonly string[];
  readonly madeAt: number;
};

export const passkeyRepo = (db: Db) => ({
  async add({ publicKey, transports, madeAt, ...key }: Passkey): Promise<void> {
    await db
      .insertInto('passkey')
      .values({
        ...{ ...key, counter: String(key.counter), public_key: Buffer.from(publicKey) },
        ...{ transports: JSON.stringify(transports), made_at: new Date(madeAt), used_at: null },
      })
      .execute();
  },
  /** Those of a person, the oldest first. */
  async ofPerson(person: string): Promise<Passkey[]> {
    const rows = await db
      .selectFrom('passkey')
      .selectAll()
      .where('person', '=', person)
      .orderBy('made_at')
      .execute();
    return rows.map(passkeyOfRow);
  },
  /** The passkey that a device calls by an id; null: nobody has it. */
  async find(id: string): Promise<Passkey | null> {
    const row = await db.selectFrom('passkey').selectAll().where('id', '=', id).executeTakeFirst();
    return row ? passkeyOfRow(row) : null;
  },
  async noteUse(id: string, counter: number, at: number): Promise<void> {
    await db
      .updateTable('passkey')
      .set({ counter: String(counter), used_at: new Date(at) })
      .where('id', '=', id)
      .execute();
  },
  /** Takes all of a person's away: whoever lost a device has lost those on it. */
  async removeAll(person: string): Promise<void> {
    await db.deleteFrom('passkey').where('person', '=', person).execute();
  },
  async remove(person: string, id: string): Promise<void> {
    await db.deleteFrom('passkey').where('person', '=', person).where('id', '=', id).execute();
  },
});

const passkeyOfRow = (r: {
  id: string;
  person: string;
  name: string;
  public_key: Buffer;
  counter: string;
  transports: readonly string[];
  made_at: Date;
}): Passkey => ({
  ...{ id: r.id, person: r.person, name: r.name, transports: r.transports },
  publicKey: Uint8Array.from(r.public_key),
  ...{ counter: Number(r.counter), madeAt: r.made_at.getTime() },
});
