import type { SiteFile } from '../flow/site-file';
import type { MaturityTest } from '../maturity/outcome';
import { instantOf, type Instant } from '../quantity/instant';

/** A test of maturity as a site file tells it. */
export type FileTest = { readonly lot: string; readonly test: MaturityTest };

type FileValues = SiteFile['tests'][number]['values'];

const withInstant = <T extends { readonly at: Parameters<typeof instantOf>[0] }>(
  x: T,
): Omit<T, 'at'> & { readonly at: Instant } => ({ ...x, at: instantOf(x.at) });

/** Raw values with their moments as instants: of all tests the one in the heap alone has any. */
function valuesOf(values: FileValues): MaturityTest['values'] {
  if (values.kind !== 'reheat') return values;
  return {
    ...values,
    turnedAt: values.turnedAt === null ? null : instantOf(values.turnedAt),
    squeezes: values.squeezes.map(withInstant),
    moistures: values.moistures.map(withInstant),
    core: values.core.map(withInstant),
    air: values.air.map(withInstant),
  };
}

/** The tests of a site file, ready to be judged again from their raw values. */
export const testsOfFile = (file: SiteFile): FileTest[] =>
  file.tests.map(({ lot, startedAt, endedAt, values }) => ({
    lot,
    test: {
      startedAt: instantOf(startedAt),
      endedAt: endedAt == null ? null : instantOf(endedAt),
      values: valuesOf(values),
    },
  }));
