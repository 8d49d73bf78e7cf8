import type { SiteState } from '@/core/log/fold';
import { ownRulesOf } from '@/core/formats/batch-file';
import { MIN_HOT_M3 } from '@/core/heap/size';
import { foldLots } from '@/core/lots/fold';
import { LotBook, type RuleProof } from '@/core/lots/book';
import { flowSiteOf } from '@/core/lots/site-flows';
import { findRule } from '@/core/rules/library';
import { siteQuestionsOf, type SiteQuestion } from '@/core/status/open-questions';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import type { Db } from '@/db/client';
import { lotsRepo, type LotsLog } from '@/db/repositories/lots';
import type { Site } from '@/db/repositories/site';
import { snapshotRepo } from '@/db/repositories/snapshots';
import type { StoreState } from '@/core/mix/store';
import { storeRepo } from '@/db/repositories/store';

/** The lots of a site at a moment, with what was logged of them, and what speaks against evidence. */
export type SiteLots = LotsLog & {
  readonly book: LotBook;
  readonly questions: readonly SiteQuestion[];
};

type ClockedProof = RuleProof & { readonly clock: 'germs' | 'seeds' };

/** When batches met their rules. A rule of which nothing is known proves nothing. */
function proofsOf(board: readonly BatchSnapshot[], { rules }: SiteState): ClockedProof[] {
  const own = ownRulesOf([...rules.values()].flatMap((versions) => versions.at(-1)?.rule ?? []));
  return board.flatMap((b) =>
    b.rules.flatMap((r, i) => {
      const rule = findRule(r.rule, own);
      // What came in later took the leading rule's proof from the batch, not from what was in it then.
      const at = r.provenAt ?? (i === 0 ? b.outcome.best?.provenAt : null) ?? null;
      return rule === undefined || at === null
        ? []
        : [{ lot: b.id, at, rule: r.rule, rimUnread: r.rimUnread, clock: rule.clock }];
    }),
  );
}

/** What a page knows of a site when it asks for its lots. */
export type KnownSite = {
  readonly site: Site;
  readonly now: number;
  readonly board: readonly BatchSnapshot[];
  readonly siteState: SiteState;
  /** The hash of the last entry of the log. */ readonly asOf: string;
};

/** What is known of a site's batches already, where a page has asked for it. */
type Known = {
  readonly board: readonly BatchSnapshot[];
  readonly siteState: SiteState;
  readonly store: StoreState;
  /** The hash of the last entry of the log. */ readonly asOf: string;
};
async function readKnown(db: Db, site: Site, now: number): Promise<Omit<Known, 'asOf'>> {
  const [board, siteState, store] = await Promise.all([
    snapshotRepo(db).board(site, now),
    snapshotRepo(db).siteState(site),
    storeRepo(db).state(site.id),
  ]);
  return { board, siteState, store };
}

/** What the log held at a moment. */
function asOf(log: LotsLog, now: number): LotsLog {
  if (log.entries.every((e) => e.recordedAt <= now)) return log;
  const entries = log.entries.filter((e) => e.recordedAt <= now);
  return { entries, state: foldLots(entries) };
}

/** Works out the lots of a site as of a moment. */
export async function readSiteLots(
  db: Db,
  site: Site,
  now: number,
  known?: Known,
): Promise<SiteLots> {
  const log = asOf(await lotsRepo(db).read(site.id, known?.asOf), now);
  const { board, siteState, store } = known ?? (await readKnown(db, site, now));
  const proofs = proofsOf(board, siteState);
  const germProofs = proofs.filter((p) => p.clock === 'germs');
  const book = new LotBook(
    {
      state: log.state,
      site: flowSiteOf(log.entries, store, germProofs),
      store,
      germProofs,
      seedProofs: proofs.filter((p) => p.clock === 'seeds'),
      leastM3: siteState.work?.leastM3 ?? MIN_HOT_M3,
    },
    now,
  );
  const questions = siteQuestionsOf(board, siteState, { state: log.state, book });
  return { ...log, book, questions };
}
