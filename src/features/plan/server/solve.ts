import loadHighs from 'highs';
import type { Constraint, Programme, SolveProgramme } from '@/core/advice/scheduler';
import { valueAt } from '@/core/quantity/present';
import { log } from '@/platform/log';

/** As long as a page may wait for a better plan. */
const PATIENCE_MS = 1500;
/** Near enough to the best: a hundredth. */
const GAP = 0.01;
/** How the solver says that it has found a plan: the best, or the best so far when its time was up. */
const USABLE: ReadonlySet<string> = new Set(['Optimal', 'Time limit reached']);
let loaded: ReturnType<typeof loadHighs> | null = null;

/** The programme in the LP text that solvers read, with short names. */
function lpText({ variables, constraints }: Programme, name: (v: string) => string): string {
  const rows = new Map(constraints.map((c) => [c.name, [] as string[]]));
  for (const v of variables)
    for (const [c, k] of v.in)
      if (k !== 0) valueAt(rows, c).push(`${k < 0 ? '-' : '+'} ${Math.abs(k)} ${name(v.name)}`);
  const bound = (c: Constraint): string =>
    c.equal !== undefined
      ? `= ${c.equal}`
      : c.max !== undefined
        ? `<= ${c.max}`
        : `>= ${c.min ?? 0}`;
  return [
    'Minimize',
    ` obj: ${variables.map((v) => `+ ${v.cost} ${name(v.name)}`).join('\n ')}`,
    'Subject To',
    ...constraints.flatMap((c, i) =>
      valueAt(rows, c.name).length > 0
        ? [` c${i}: ${valueAt(rows, c.name).join(' ')} ${bound(c)}`]
        : [],
    ),
    'Binary',
    ...variables.flatMap((v) => (v.binary ? [` ${name(v.name)}`] : [])),
    'End',
    '',
  ].join('\n');
}

/** The integer programme by branch and cut (HiGHS). A programme that it cannot do in time is answered with null. */
export const solve: SolveProgramme = async (programme) => {
  const names = new Map(programme.variables.map((v, i) => [v.name, `v${i}`]));
  try {
    const highs = await (loaded ??= loadHighs());
    const solution = highs.solve(
      lpText(programme, (v) => valueAt(names, v)),
      { time_limit: PATIENCE_MS / 1000, mip_rel_gap: GAP, output_flag: false },
    );
    if (!USABLE.has(solution.Status)) return null;
    const values = new Map<string, number>();
    for (const [v, short] of names) {
      const value = (solution.Columns as Record<string, { Primal?: number }>)[short]?.Primal ?? 0;
      if (Math.abs(value) > 1e-6) values.set(v, value);
    }
    return programme.constraints.filter((c) => c.kind === 'once').length > values.size
      ? null
      : values;
  } catch (error) {
    loaded = null; // its memory is in no state to be used again
    log.warn(
      { error: error instanceof Error ? error.message : error },
      'the plan was not solved; the least loaded days are taken',
    );
    return null;
  }
};
