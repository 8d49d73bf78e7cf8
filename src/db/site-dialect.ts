import {
  CompiledQuery,
  PostgresDialect,
  PostgresDriver,
  type DatabaseConnection,
  type Driver,
  type PostgresDialectConfig,
} from 'kysely';
import { hasTurn } from '@/platform/turn-scope';

/** For which site a connection is asked; '': for none. */
type SiteOf = () => string | Promise<string>;
/** Gives the code that goes with a site. */
export type CodeOf = (site: string) => Promise<string>;
/** How a connection is taken for a site: which one, and the code that goes with it. */
export type SiteAsked = { readonly siteOf: SiteOf; readonly codeOf: CodeOf };

/**
 * Hands out connections that see one site alone: which one is said to the database before anything else is, and its policies
 * hold every row of another one back, whatever a query asks for.
 */
class SiteDriver extends PostgresDriver {
  readonly #said = new WeakMap<DatabaseConnection, string>();
  readonly #asked: SiteAsked;

  constructor(config: PostgresDialectConfig, asked: SiteAsked) {
    super(config);
    this.#asked = asked;
  }

  override async acquireConnection(): Promise<DatabaseConnection> {
    // One that waited for a second connection while it holds up the site could wait for ever.
    if (hasTurn())
      throw new Error(
        'acquireConnection: whoever has a turn reads and writes by its own transaction. Pass that on.',
      );
    const site = await this.#asked.siteOf();
    const proof = site === '' ? '' : `${site}:${await this.#asked.codeOf(site)}`;
    const connection = await super.acquireConnection();
    // A connection that was used for the same site before knows it still.
    if (this.#said.get(connection) === site) return connection;
    try {
      this.#said.delete(connection);
      await connection.executeQuery(
        CompiledQuery.raw(`select set_config('app.site', $1, false)`, [proof]),
      );
      this.#said.set(connection, site);
      return connection;
    } catch (error) {
      // It came from this very driver; only its declared type is wider.
      await this.releaseConnection(connection as never);
      throw error;
    }
  }
}

/** PostgreSQL through connections that see one site. */
export class SiteDialect extends PostgresDialect {
  readonly #config: PostgresDialectConfig;
  readonly #asked: SiteAsked;

  constructor(config: PostgresDialectConfig, asked: SiteAsked) {
    super(config);
    this.#config = config;
    this.#asked = asked;
  }

  override createDriver(): Driver {
    return new SiteDriver(this.#config, this.#asked);
  }
}
