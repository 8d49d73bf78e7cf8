import fc from 'fast-check';
import type { Particle, Range, Role } from '@/core/log/store-shapes';
import type { Ingredient } from '@/core/mix/ingredient';

export const exactly = (value: number): Range => ({ low: value, usual: value, high: value });
export type Plain = {
  name: string;
  kg: number;
  wet: number;
  n: number;
  c: number;
  density?: number;
  role?: Role;
  particle?: Particle;
};
/** An ingredient with figures that are known to the point; moisture, N and C in %. */
export const plain = ({
  name,
  kg,
  wet,
  n,
  c,
  density = 400,
  role = 'green',
  particle = 'medium',
}: Plain): Ingredient => ({
  key: name,
  material: name,
  name,
  role,
  particle,
  risks: [],
  caution: null,
  cn: exactly(c / n),
  carbonPct: c,
  moisture: exactly(wet),
  density: exactly(density),
  from: {},
  airPct: null,
  kg,
  litres: (kg / density) * 1000,
  about: false,
  price: null,
});

/** Any stuff that a heap may take, with ranges round its figures. */
export const anyIngredient = fc
  .record({
    kg: fc.double({ min: 1, max: 2000, noNaN: true }),
    wet: fc.double({ min: 5, max: 90, noNaN: true }),
    cn: fc.double({ min: 5, max: 500, noNaN: true }),
    carbon: fc.double({ min: 30, max: 55, noNaN: true }),
    density: fc.double({ min: 50, max: 1000, noNaN: true }),
    width: fc.double({ min: 0, max: 0.4, noNaN: true }),
    role: fc.constantFrom<Role>('green', 'brown', 'structure'),
    particle: fc.constantFrom<Particle>('fine', 'medium', 'coarse'),
    price: fc.option(fc.double({ min: 0.01, max: 1, noNaN: true })),
  })
  .map(({ kg, wet, cn, carbon, density, width, role, particle, price }): Ingredient => {
    const r = (x: number, most = Infinity): Range => ({
      low: x * (1 - width),
      usual: x,
      high: Math.min(most, x * (1 + width)),
    });
    return {
      key: '',
      material: 'x',
      name: 'x',
      role,
      particle,
      risks: [],
      caution: null,
      cn: r(cn),
      carbonPct: carbon,
      moisture: r(wet, 98),
      density: r(density),
      from: {},
      airPct: null,
      kg,
      litres: (kg / density) * 1000,
      about: false,
      price,
    };
  });
export const anyMix = (most: number) =>
  fc
    .array(anyIngredient, { minLength: 1, maxLength: most })
    .map((list) => list.map((p, i) => ({ ...p, key: `m${i}`, name: `m${i}` })));
