import convert from 'convert-units';
import { analyteOf, convertShare } from './analytes';
import { listAnalytes } from './limit-sets';

/** What a sheet calls things, and in which units. Symbols are those of the IUPAC's table of elements. */
describe('what a sheet calls an analyte', () => {
  test.each([
    ['lead', 'Pb'],
    ['Lead (Pb)', 'Pb'],
    ['total lead', 'Pb'],
    ['Plomo', 'Pb'],
    ['pb', 'Pb'],
    ['Mercury, total', 'Hg'],
    ['Chromium', 'Cr'],
    ['Chromium VI', 'Cr VI'],
    ['hexavalent chromium', 'Cr VI'],
    ['Cr(VI)', 'Cr VI'],
    ['Chromium (VI)', 'Cr VI'],
    ['Chromium (6+)', 'Cr VI'],
    ['Faecal coliforms', 'fecal coliforms'],
    ['Salmonella spp.', 'Salmonella'],
    ['Escherichia coli', 'E. coli'],
    ['E. coli O157:H7', 'E. coli O157:H7'],
  ])('%s is %s', (name, analyte) => expect(analyteOf(name)).toBe(analyte));
  test('every name of a limit is its own, and two limits are never taken for one', () => {
    const names = [...new Set(listAnalytes().map((a) => a.analyte))];
    for (const name of names) expect(analyteOf(name).toLowerCase()).toBe(name.toLowerCase());
    expect(new Set(names.map(analyteOf)).size).toBe(names.length);
  });
  test('a name that is not known stays, and is no limit’s', () =>
    expect(analyteOf('  Boron ')).toBe('boron'));
  test.each(['Chromium (III)', 'Arsenic (III)', 'PAH', 'lead (dissolved)', 'lead (Cd)'])(
    '%s is not taken for what it may not be',
    (name) => expect(listAnalytes().map((a) => a.analyte)).not.toContain(analyteOf(name)),
  );
});

describe('shares of mass', () => {
  test('0.02 % is 200 mg/kg', () => expect(convertShare(0.02, '%', 'mg/kg')).toBeCloseTo(200, 9));
  test.each([
    ['ppm', 'mg/kg', 1],
    ['µg/g', 'mg/kg', 1],
    ['μg/kg', 'mg/kg', 0.001],
    ['ppb', 'mg/kg', 0.001],
    ['g/kg', '% m/m', 0.1],
    ['% w/w', 'g/kg', 10],
    ['mg/g', 'g/kg', 1],
  ])('1 %s in %s', (from, to, factor) =>
    expect(convertShare(3, from, to)).toBeCloseTo(3 * factor, 12),
  );
  test('agrees with a general library of units, mass over mass', () => {
    for (const [unit, of, per] of [
      ['mg/kg', 'mg', 'kg'],
      ['g/kg', 'g', 'kg'],
      ['mg/g', 'mg', 'g'],
      ['g/t', 'g', 'mt'],
      ['kg/t', 'kg', 'mt'],
    ] as const) {
      const share = convert(1).from(of).to('kg') / convert(1).from(per).to('kg');
      expect(convertShare(1, unit, '%')).toBeCloseTo(share * 100, 12);
    }
  });
  test('counts are no shares of mass', () => {
    expect(convertShare(5, 'MPN/g', 'MPN/4 g')).toBeNull();
    expect(convertShare(5, 'CFU/g', '%')).toBeNull();
    expect(convertShare(5, 'CFU/g', ' CFU/g')).toBe(5);
  });
});
