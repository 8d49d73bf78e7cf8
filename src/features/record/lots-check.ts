import { say } from '@/messages/say';
import type { FlowSite, SiteFile } from '@/core/flow/site-file';
import { traceCarried, traceFrom, traceUnheated, type Traced } from '@/core/flow/trace';
import { tracedShareText } from '@/core/flow/share-text';
import { MIN_HOT_M3 } from '@/core/heap/size';
import { testsOfFile } from '@/core/lots/file-tests';
import { isScreeningLot } from '@/core/lots/site-flows';
import { OUT_WAYS, type OutWay } from '@/core/log/lot-shapes';
import { assessTest, USUAL_TEST_LIMITS } from '@/core/maturity/outcome';
import { dayText, figureWithUnit, joinParts } from '@/core/quantity/format';
import { instantOf, type Instant } from '@/core/quantity/instant';
import { TEST_OUTCOME_WORDS, TEST_WORDS, WENT_OUT_WORDS } from '@/core/words/lots';
import type { Table } from './view';

/** What a site file shows on the page that checks itself: shares and outcomes, worked out from its litres and raw values. */
export type LotsCheck = {
  readonly lots: Table;
  readonly tests: Table;
  readonly outs: Table;
};

type Opened = { readonly site: FlowSite; readonly file: SiteFile };
type Naming = { nameOf(lot: string): string; when(at: Instant): string };

const amountText = (litres: number | null): string =>
  litres === null ? say('record.amountNotKnown') : figureWithUnit('litres', litres);

/** Lots with something in them; of the batch that the file is about also its share in each. */
function lotsTable({ site, file }: Opened, { nameOf }: Naming): Table {
  const ofBatch = new Map(
    file.batch ? traceFrom(site, [file.batch], null).lots.map((l) => [l.lot, l]) : [],
  );
  const rows = traceUnheated(site, null)
    .lots.filter((l) => !isScreeningLot(l.lot) && l.any[1] > 0 && l.litres !== 0)
    .map(({ lot, litres, raw }) => [
      nameOf(lot),
      amountText(litres),
      tracedShareText(raw),
      ...(file.batch ? [tracedShareText(ofBatch.get(lot)?.any ?? [0, 0])] : []),
    ]);
  return {
    head: [
      say('record.lot'),
      say('lots.inAll'),
      say('lots.unheated'),
      ...(file.batch ? [say('checker.ofTheBatch')] : []),
    ],
    rows,
    none: say('checker.noLotsThere'),
    more: say('record.sharesByVolume'),
  };
}

/** Tests with what they say by their raw values, at the moment at which the file was made. */
function testsTable({ file }: Opened, { nameOf, when }: Naming, asOf: Instant): Table {
  const limits = { ...USUAL_TEST_LIMITS, leastM3: file.site?.leastHotM3 ?? MIN_HOT_M3 };
  return {
    head: [say('record.lot'), say('record.whatWasFound'), say('record.when')],
    rows: testsOfFile(file).map(({ lot, test }) => {
      const { outcome } = assessTest(test, limits, asOf);
      const what = `${TEST_WORDS[test.values.kind]}: ${TEST_OUTCOME_WORDS[outcome]}`;
      return [nameOf(lot), what, when(test.startedAt)];
    }),
    none: say('checker.noTestsThere'),
  };
}

const isWay = (what: string): what is OutWay => (OUT_WAYS as readonly string[]).includes(what);

/** What left the site, with the share of it that was never heated. */
function outsTable({ site, file }: Opened, { nameOf, when }: Naming): Table {
  const carried: ReadonlyMap<string, Traced> = traceCarried(site, null);
  return {
    head: [say('record.lot'), say('lots.whereTo'), say('lots.unheated'), say('record.when')],
    rows: file.flows.flatMap((f) => {
      const part = carried.get(f.id);
      if (f.what == null || f.from === null || !part) return [];
      const how = isWay(f.what) ? WENT_OUT_WORDS[f.what] : f.what;
      return [
        [
          nameOf(f.from),
          joinParts(how, f.party ?? '', amountText(part.litres)),
          tracedShareText(part.raw),
          when(instantOf(f.at)),
        ],
      ];
    }),
    none: say('checker.noOutsThere'),
  };
}

/** All that a site file shows. @param now the moment of judging, where the file does not say when it was made */
export function checkLots(opened: Opened, now: Instant): LotsCheck {
  const { madeAt, site } = opened.file;
  const zone = site?.timeZone ?? 'UTC';
  const asOf = madeAt == null ? now : instantOf(madeAt);
  const names = new Map(opened.file.lots.map((l) => [l.id, l.name ?? l.id]));
  const naming: Naming = {
    nameOf: (lot) => names.get(lot) ?? lot,
    when: (at) => dayText(zone, at),
  };
  return {
    lots: lotsTable(opened, naming),
    tests: testsTable(opened, naming, asOf),
    outs: outsTable(opened, naming),
  };
}
