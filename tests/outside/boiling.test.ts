import { boilingAtC, boilingPointC, pressurePa } from '@/core/quantity/water';

/** Water's boiling point against published values. No document could be reached here: the values below are from memory. */

describe('saturation line', () => {
  // IAPWS R7-97 (2012), industrial formulation 1997, table 36: verification values of the backward equation of region 4, K.
  test.each([
    [0.1, 372.755919],
    [1, 453.035632],
    [10, 584.149488],
  ])('%d MPa: %d K', (mpa, kelvin) => {
    expect(boilingAtC(mpa * 1e6) + 273.15).toBeCloseTo(kelvin, 6);
  });
  // The normal boiling point as that formulation has it, at one standard atmosphere.
  test('one atmosphere', () => expect(boilingAtC(101_325)).toBeCloseTo(99.974, 3));
});

describe('pressure of the standard atmosphere', () => {
  // ISO 2533:1975, table of the standard atmosphere, Pa.
  test.each([
    [0, 101_325],
    [500, 95_461],
    [1000, 89_874],
    [2000, 79_495],
    [3000, 70_108],
    [5000, 54_019],
  ])('%d m: %d Pa', (m, pa) => expect(Math.abs(pressurePa(m) - pa) / pa).toBeLessThan(2e-4));
});

describe('boiling at an altitude', () => {
  // Common practice: water boils about 1 °C lower for each 300 m; 95 °C at 1,500 m, 90 °C at 3,000 m.
  test.each([
    [300, 99],
    [1500, 95],
    [3000, 90],
  ])('%d m: about %d °C', (m, c) => expect(Math.abs(boilingPointC(m) - c)).toBeLessThan(0.4));
  test('higher is always cooler', () => {
    for (let m = -400; m < 6000; m += 50)
      expect(boilingPointC(m + 50)).toBeLessThan(boilingPointC(m));
  });
});
