import { firstOf, itemAt, lastOf } from '@/core/quantity/present';

/** The ember scale: temperature as lightness, one scale for the sun and one for the shed. */
const SUN: readonly [number, string][] = [
  [10, '#DCE4E0'],
  [25, '#D9DFD0'],
  [40, '#E7C766'],
  [55, '#E09A2C'],
  [65, '#B04A1A'],
  [70, '#761C1C'],
  [77, '#2A0D18'],
];
const SHED: readonly [number, string][] = [
  [10, '#27303A'],
  [25, '#303A3C'],
  [40, '#5E4B22'],
  [55, '#B9701A'],
  [65, '#EE9A34'],
  [70, '#FFCB6B'],
  [77, '#FFF3CF'],
];

type Triple = [number, number, number];
const channels = (hex: string): Triple =>
  [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)) as Triple;
const linear = (c: number): number =>
  c / 255 <= 0.04045 ? c / 255 / 12.92 : ((c / 255 + 0.055) / 1.055) ** 2.4;
const gamma = (c: number): number =>
  Math.round(
    255 * Math.min(1, Math.max(0, c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055)),
  );

/** sRGB to OKLab (Ottosson, 2020; published with its matrices). */
function toLab(hex: string): Triple {
  const [r, g, b] = channels(hex).map(linear) as Triple;
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ];
}

function fromLab([L, a, b]: Triple): string {
  const l = (L + 0.3963377774 * a + 0.2158037573 * b) ** 3;
  const m = (L - 0.1055613458 * a - 0.0638541728 * b) ** 3;
  const s = (L - 0.0894841775 * a - 1.291485548 * b) ** 3;
  const rgb = [
    4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
    -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
    -0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s,
  ];
  return `#${rgb.map((c) => gamma(c).toString(16).padStart(2, '0')).join('')}`;
}

/** Colour of a temperature on one scale, interpolated in OKLab and clamped at both ends. */
export function emberOn(scale: 'sun' | 'shed', celsius: number): string {
  const stops = scale === 'sun' ? SUN : SHED;
  const above = stops.findIndex(([t]) => celsius <= t);
  if (above === 0) return firstOf(stops)[1];
  if (above < 0) return lastOf(stops)[1];
  const [t0, c0] = itemAt(stops, above - 1);
  const [t1, c1] = itemAt(stops, above);
  const [from, to] = [toLab(c0), toLab(c1)];
  return fromLab(
    from.map((v, i) => v + (itemAt(to, i) - v) * ((celsius - t0) / (t1 - t0))) as Triple,
  );
}

/** The colour for both lights; the page's colour scheme chooses. */
export const ember = (celsius: number): string =>
  `light-dark(${emberOn('sun', celsius)}, ${emberOn('shed', celsius)})`;

/** A plate in the colour of a temperature and the text that can be read on it; where neither text would do, on both lights, the plate is the sheet's. */
export function plateOf(celsius: number): { fill: string; text: string } {
  const [sunPlain, shedPlain] = [celsius > 61.5 && celsius < 62.5, celsius > 48 && celsius < 54];
  return {
    fill: `light-dark(${sunPlain ? '#fcfcf7' : emberOn('sun', celsius)}, ${shedPlain ? '#1e1b14' : emberOn('shed', celsius)})`,
    text: `light-dark(${celsius >= 62.5 ? '#fcfcf7' : '#1a1912'}, ${celsius >= 54 ? '#16140e' : '#f1ecdd'})`,
  };
}
