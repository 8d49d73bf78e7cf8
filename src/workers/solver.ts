import { solve } from 'yalps';
import type { Linear, SolveLinear } from '@/core/mix/programme';

/** Values under this are nought. */
const ZERO = 1e-9;

/** A linear programme by the simplex method (yalps). */
export const solveLinear: SolveLinear = ({ variables, rows }: Linear) => {
  // An upper bound of a variable is a row of its own: the package knows none.
  const bounded = variables.filter((v) => v.max !== null);
  const answer = solve(
    {
      direction: 'minimize',
      objective: 'cost',
      constraints: [
        ...rows.map(
          (r) =>
            [
              r.name,
              r.equal !== undefined
                ? { equal: r.equal }
                : {
                    ...(r.min === undefined ? {} : { min: r.min }),
                    ...(r.max === undefined ? {} : { max: r.max }),
                  },
            ] as const,
        ),
        ...bounded.map((v) => [`most:${v.name}`, { max: v.max! }] as const),
      ],
      variables: variables.map(
        (v) =>
          [
            v.name,
            [
              ['cost', v.cost],
              ...v.in,
              ...(v.max === null ? [] : [[`most:${v.name}`, 1] as const]),
            ],
          ] as const,
      ),
    },
    { includeZeroVariables: false },
  );
  return answer.status === 'optimal' ? new Map(answer.variables.filter(([, x]) => x > ZERO)) : null;
};
