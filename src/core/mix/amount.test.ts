import fc from 'fast-check';
import { AmountSchema } from '../log/store-shapes';
import { asSentence } from '../words/problem';
import { amountProblem, amountTyped } from './amount';

const measures = [
  { id: 'barrow', name: 'Barrow', litres: 80 },
  { id: 'trailer', name: 'Trailer', litres: 4000 },
];

test('a form says of an amount what the log would say of it', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.double({ min: 0.001, max: 1e6, noNaN: true }),
        fc.constantFrom(10_000, 100_000, 500_000, 6250, 125),
      ),
      fc.constantFrom('barrow', 'trailer', 'L', 'kg'),
      (n, unit) => {
        const kept = AmountSchema.safeParse(amountTyped(n, unit, false, measures));
        expect(amountProblem(n, unit, measures)).toBe(
          kept.success ? undefined : asSentence(kept.error.issues[0]!.message),
        );
      },
    ),
  );
});
