import type { Role } from '../log/store-shapes';
import { MS, type Instant } from '../quantity/instant';
import { inStock, type StockLoad, type StoreState } from './store';

/** What lies ready, what ripens, what heats up in the stack, and what came from whom. */

/** Litres of a role in stock; loads whose amount is not known are counted beside. */
export type RoleStock = {
  readonly role: Role;
  readonly litres: number;
  readonly kg: number;
  readonly unknown: number;
  readonly loads: readonly StockLoad[];
};

/** Stock that may be used, by role, each the oldest first. Held loads are not counted. */
export function stockByRole(store: StoreState): RoleStock[] {
  const roles = new Map<Role, StockLoad[]>();
  for (const l of inStock(store))
    if (l.answer === 'accept') roles.set(l.stuff.role, [...(roles.get(l.stuff.role) ?? []), l]);
  return [...roles].map(([role, loads]) => ({
    role,
    loads: loads.sort((a, b) => a.at - b.at),
    litres: loads.reduce((s, l) => s + (l.leftLitres ?? 0), 0),
    kg: loads.reduce((s, l) => s + (l.leftKg ?? 0), 0),
    unknown: loads.filter((l) => l.leftLitres === null).length,
  }));
}

/** Browns wanted for the greens that lie there, by the bucket school of two browns to a green (common practice), and by the loosest, one to one. */
export function greensOutrun(
  stock: readonly RoleStock[],
): { readonly greenL: number; readonly brownL: number; readonly wantedL: number } | null {
  const of = (...roles: Role[]): number =>
    stock.filter((s) => roles.includes(s.role)).reduce((sum, s) => sum + s.litres, 0);
  const [greenL, brownL] = [of('green', 'activator'), of('brown', 'structure')];
  return greenL > 0 && brownL < greenL ? { greenL, brownL, wantedL: 2 * greenL } : null;
}

/** Stacks of these heat up on their own while they are fresh. */
const HEATS: ReadonlySet<string> = new Set([
  'hardwood-chip',
  'softwood-chip',
  'green-chip',
  'hay-grass',
  'hay-legume',
  'grass-clippings',
  'silage',
  'shrub-trimmings',
]);
/** From this size on, L; for so long after it came; read so often. Common practice of chip and hay stores. */
const STACK_L = 3000;
const STACK_DAYS = 60;
const READ_DAYS = 7;
/** From here a stack is read again the next day; from here it is taken apart; here people are kept back. °C, common practice: hay is taken out from about 60 to 65, fire from about 80. */
const STACK_LIMITS = { warnC: 60, actC: 70, dangerC: 77 } as const;

export type StackHeat = {
  readonly at: Instant | null;
  readonly c: number | null;
  readonly level: 'none' | 'warn' | 'act' | 'danger';
  readonly due: Instant | null;
};
/** How a stack stands, and when it is read next; null: it need not be read. */
export function stackHeat(l: StockLoad, now: Instant): StackHeat | null {
  const last = l.heats.findLast((h) => h.at <= now) ?? null;
  const heats =
    HEATS.has(l.material.id) &&
    l.state !== 'aged' &&
    (l.leftLitres ?? l.litres ?? 0) >= STACK_L &&
    now - l.at < STACK_DAYS * MS.day;
  if (!heats && !last) return null;
  const c = last?.c ?? null;
  const level =
    c === null
      ? 'none'
      : c >= STACK_LIMITS.dangerC
        ? 'danger'
        : c >= STACK_LIMITS.actC
          ? 'act'
          : c >= STACK_LIMITS.warnC
            ? 'warn'
            : 'none';
  const every = level === 'none' ? READ_DAYS : 1;
  return {
    at: last?.at ?? null,
    c,
    level,
    due: heats || level !== 'none' ? (last?.at ?? l.at) + every * MS.day : null,
  };
}

/** A load that somebody must see to. */
export type LoadDue = {
  readonly id: string;
  readonly name: string;
  readonly what: 'ripe' | 'ask' | 'stack';
  readonly due: Instant;
  readonly c: number | null;
  readonly level: StackHeat['level'];
  readonly asked: string | null;
  readonly where: string | null;
};

/** Loads that are ripe, held loads to be asked about, and stacks to be read. */
export const loadsDue = (store: StoreState, now: Instant): LoadDue[] =>
  inStock(store).flatMap((l): LoadDue[] => {
    const base = {
      id: l.id,
      name: l.load.what ?? l.material.name,
      c: null,
      level: 'none' as const,
      asked: null,
      where: l.where,
    };
    const heat = stackHeat(l, now);
    return [
      ...(l.answer === 'ask'
        ? [{ ...base, what: 'ask' as const, due: l.at, asked: l.load.asked ?? null }]
        : []),
      ...(l.answer === 'accept' && l.readyFrom !== null && l.readyFrom > l.stateSince
        ? [{ ...base, what: 'ripe' as const, due: l.readyFrom }]
        : []),
      ...(heat?.due != null
        ? [{ ...base, what: 'stack' as const, due: heat.due, c: heat.c, level: heat.level }]
        : []),
    ];
  });

/** What one supplier brought, and what came of it. */
export type SupplierLine = {
  readonly name: string;
  readonly loads: readonly StockLoad[];
  readonly taken: number;
  readonly refused: number;
  readonly held: number;
  readonly kg: number;
  /** Of that, what would else have gone to waste. */ readonly divertedKg: number;
  /** Loads whose weight is not known. */ readonly unweighed: number;
  readonly cost: number | null;
  readonly heaps: readonly string[];
};
/** Who brought what from a moment on, up to another: loads, litres, cost, heaps that it went into. */
export function suppliersOf(store: StoreState, from: Instant, to: Instant): SupplierLine[] {
  const by = new Map<string, StockLoad[]>();
  for (const l of store.loads)
    if (l.at >= from && l.at < to)
      by.set(l.load.supplier ?? '', [...(by.get(l.load.supplier ?? '') ?? []), l]);
  return [...by]
    .map(([name, loads]) => {
      const taken = loads.filter((l) => l.answer !== 'refuse');
      const costs = loads.flatMap((l) => l.load.cost ?? []);
      return {
        name,
        loads,
        taken: taken.length,
        refused: loads.length - taken.length,
        held: loads.filter((l) => l.answer === 'ask').length,
        kg: taken.reduce((s, l) => s + (l.kg ?? 0), 0),
        divertedKg: loads.filter(isDiverted).reduce((s, l) => s + (l.kg ?? 0), 0),
        unweighed: taken.filter((l) => l.kg === null).length,
        cost: costs.length > 0 ? costs.reduce((a, b) => a + b, 0) : null,
        heaps: [...new Set(taken.flatMap((l) => l.went.map((w) => w.batch)))],
      };
    })
    .sort((a, b) => b.kg - a.kg || (a.name < b.name ? -1 : 1));
}

const isDiverted = (l: StockLoad): boolean =>
  l.load.waste &&
  l.answer === 'accept' &&
  l.gone?.how !== 'returned' &&
  l.gone?.how !== 'discarded';
/** Kilograms that would else have gone to waste, by material. Loads that were sent back or thrown away are not among them; of those without a weight only the number is told. */
export function diverted(
  store: StoreState,
  from: Instant,
  to: Instant,
): {
  readonly kg: number;
  readonly unweighed: number;
  readonly byMaterial: readonly {
    readonly name: string;
    readonly kg: number;
    readonly loads: number;
  }[];
  readonly loads: readonly StockLoad[];
} {
  const loads = store.loads.filter((l) => l.at >= from && l.at < to && isDiverted(l));
  const by = new Map<string, { name: string; kg: number; loads: number }>();
  for (const l of loads) {
    const x = by.get(l.material.id) ?? { name: l.material.name, kg: 0, loads: 0 };
    by.set(l.material.id, { ...x, kg: x.kg + (l.kg ?? 0), loads: x.loads + 1 });
  }
  return {
    kg: loads.reduce((s, l) => s + (l.kg ?? 0), 0),
    unweighed: loads.filter((l) => l.kg === null).length,
    byMaterial: [...by.values()].sort((a, b) => b.kg - a.kg),
    loads,
  };
}
