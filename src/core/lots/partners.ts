import type { Entry } from '../log/entry';
import { OUT_IS_PRODUCT } from '../log/lot-shapes';
import type { StoreState } from '../mix/store';
import type { Instant } from '../quantity/instant';
import { liveEntries } from './fold';

/** What a partner brought in during a span of time, and what may be taken out for it (contract, section 9). */
export type PartnerShare = {
  readonly partner: string;
  readonly broughtL: number;
  /** Loads whose amount is not known in litres. */ readonly unknownLoads: number;
  /** Of all that was brought in. */ readonly share: number;
  /** The same share of all product, L. */ readonly mayTakeL: number;
  readonly tookL: number;
  /** Times that an unknown amount was taken. */ readonly unknownTaken: number;
};

/** One name for one partner, however it was typed. */
export const partnerKey = (name: string): string => name.trim().toLocaleLowerCase();

/**
 * Partners by what they brought in, the largest first: everybody who supplied a load or took a share.
 * @param productL all product of that time: what went out and what is there, L
 * @param carried litres that a flow carried; null: not known
 */
export function sharesOfPartners(
  entries: readonly Entry[],
  store: StoreState,
  { from, to }: { readonly from: Instant; readonly to: Instant },
  productL: number,
  carried: (flow: string) => number | null,
): PartnerShare[] {
  const isWithin = ({ at }: { readonly at: Instant }): boolean => at >= from && at < to;
  const loads = store.loads.filter((l) => isWithin(l) && l.answer === 'accept');
  const all = loads.reduce((sum, l) => sum + (l.litres ?? 0), 0);
  const taken = liveEntries(entries).flatMap((e) =>
    e.kind === 'lot-out' && isWithin(e) && e.data.how === 'shared' && e.data.party !== undefined
      ? [{ party: e.data.party, litres: e.data.litres ?? carried(e.id) }]
      : [],
  );
  const names = new Map<string, string>();
  for (const name of [...loads.map((l) => l.load.supplier), ...taken.map((t) => t.party)])
    if (name !== undefined && !names.has(partnerKey(name))) names.set(partnerKey(name), name);
  const shares = [...names].map(([key, partner]): PartnerShare => {
    const own = loads.filter((l) => l.load.supplier && partnerKey(l.load.supplier) === key);
    const took = taken.filter((t) => partnerKey(t.party) === key);
    const broughtL = own.reduce((sum, l) => sum + (l.litres ?? 0), 0);
    const share = all > 0 ? broughtL / all : 0;
    return {
      partner,
      broughtL,
      unknownLoads: own.filter((l) => l.litres === null).length,
      share,
      mayTakeL: share * productL,
      tookL: took.reduce((sum, t) => sum + (t.litres ?? 0), 0),
      unknownTaken: took.filter((t) => t.litres === null).length,
    };
  });
  return shares.sort((a, b) => b.broughtL - a.broughtL);
}

/** L of product of a span of time: what went out as product, and what lies there as fines or mixed product. */
export function productOf(
  outs: readonly Extract<Entry, { kind: 'lot-out' }>[],
  { from, to }: { readonly from: Instant; readonly to: Instant },
  carried: (flow: string) => number | null,
  there: readonly (number | null)[],
): number {
  const gone = outs
    .filter((o) => o.at >= from && o.at < to && OUT_IS_PRODUCT[o.data.how])
    .map((o) => o.data.litres ?? carried(o.id) ?? 0);
  return [...gone, ...there].reduce<number>((sum, litres) => sum + (litres ?? 0), 0);
}
