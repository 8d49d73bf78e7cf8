import { asSpeaker } from '../../../tests/support/speech';
import fc from 'fast-check';
import { thinToColdest } from './thin';
import { celsiusToFahrenheit, fahrenheitToCelsius, M3_PER_YD3 } from '../units/units';
import {
  durationText,
  missingText,
  spanText,
  tempBeside,
  tempText,
  volumeText,
  whenText,
} from './format';
import { isoOf, parseInstant } from './instant';
import { instantsOfLocal, isTimeZone } from './calendar';

describe('instants', () => {
  test.each([
    ['2026-05-01T07:30Z', Date.UTC(2026, 4, 1, 7, 30)],
    ['2026-05-01T07:30:15+02:00', Date.UTC(2026, 4, 1, 5, 30, 15)],
    ['2026-05-01T07:30:15.5-09:30', Date.UTC(2026, 4, 1, 17, 0, 15, 500)],
    ['2026-05-01T00:00:00.123999Z', Date.UTC(2026, 4, 1) + 123],
  ])('%s', (text, at) => expect(parseInstant(text)).toBe(at));
  test.each([
    '2026-02-30T00:00Z',
    '2026-05-01',
    '2026-05-01T24:00Z',
    '2026-05-01T07:30',
    '2026-05-01 07:30Z',
    '2026-05-01T07:60Z',
    '2026-05-01T07:30+24:00',
    'now',
    '2026-13-01T00:00Z',
  ])('refuses %s', (text) => expect(parseInstant(text)).toBeNull());
  test('the first years are themselves, not the 1900s', () =>
    expect(isoOf(parseInstant('0050-01-01T00:00Z')!)).toBe('0050-01-01T00:00:00.000Z'));
  test('every moment that the platform writes is read as the platform reads it', () => {
    const moments = fc.date({
      min: new Date('0001-01-01T00:00:00.000Z'),
      max: new Date('9999-12-31T23:59:59.999Z'),
      noInvalidDate: true,
    });
    fc.assert(
      fc.property(moments, (moment) =>
        expect(parseInstant(moment.toISOString())).toBe(moment.getTime()),
      ),
    );
  });
  test.each(['2026-02-30T00:00:00.000Z', '2026-05-01T24:00:00.000Z', '2026-13-01T00:00:00.000Z'])(
    'refuses %s in the long form too',
    (text) => expect(parseInstant(text)).toBeNull(),
  );
});

describe('units', () => {
  // Definition of the Fahrenheit scale (common practice): 32 °F is 0 °C, 212 °F is 100 °C.
  test('the rules’ figures: 131 °F is 55 °C exactly, 170 °F is 76.67 °C', () => {
    expect(fahrenheitToCelsius(131)).toBe(55);
    expect(fahrenheitToCelsius(170)).toBeCloseTo(76.6667, 4);
    expect(celsiusToFahrenheit(54.4)).toBeCloseTo(129.92, 10);
  });
  test('a cubic yard is 0.765 m³ (trade facts, section 1)', () =>
    expect(M3_PER_YD3).toBeCloseTo(0.765, 3));
});

describe('words for quantities', () => {
  test('credit is rounded down, what is missing up', () => {
    expect(durationText(282.99)).toBe('11 d 18 h');
    expect(missingText(77.01)).toBe('3 d 6 h');
    expect(missingText(0.2)).toBe('12 min');
    expect(durationText(0)).toBe('0 h');
    expect(spanText(360)).toBe('15 days');
  });
  test('a reading under a limit is never shown as reaching it', () => {
    expect(tempBeside(54.7, 55, 'C')).toBe('54.7 °C');
    expect(tempBeside(54.97, 55, 'C')).toBe('54.97 °C');
    expect(tempBeside(57.2, 55, 'C')).toBe('57 °C');
    expect(tempBeside(54.9, 55, 'F')).toBe('130.8 °F');
  });
  test('units', () => {
    expect(tempText(55, 'F')).toBe('131 °F');
    expect(tempText(-0.2, 'C')).toBe('0 °C');
    expect(asSpeaker({ system: 'us' }, () => volumeText(0.76455486))).toBe('1.0 yd³');
    expect(whenText('Asia/Kolkata', Date.UTC(2026, 4, 1, 20, 0), Date.UTC(2026, 4, 2))).toBe(
      'Sat May 2 1:30\u00a0AM',
    );
  });
});

describe('clock times typed by people', () => {
  test('the hour that is skipped has no instant, the one that is repeated two', () => {
    expect(instantsOfLocal('Europe/London', '2026-03-29T01:30')).toEqual([]);
    expect(instantsOfLocal('Europe/London', '2026-10-25T01:30').map(isoOf)).toEqual([
      '2026-10-25T00:30:00.000Z',
      '2026-10-25T01:30:00.000Z',
    ]);
    expect(instantsOfLocal('Asia/Kathmandu', '2026-05-01T05:45').map(isoOf)).toEqual([
      '2026-05-01T00:00:00.000Z',
    ]);
    expect(instantsOfLocal('UTC', 'rubbish')).toEqual([]);
  });
  test('zones', () => {
    expect(['Europe/Berlin', 'UTC', 'America/New_York'].map(isTimeZone)).toEqual([
      true,
      true,
      true,
    ]);
    expect(['+02:00', '', 'Mars/Olympus'].map(isTimeZone)).toEqual([false, false, false]);
  });
});

describe('many samples', () => {
  test('thinning keeps the coldest of each span, and the coldest of all', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 20, max: 70 }), { minLength: 1, maxLength: 400 }),
        fc.integer({ min: 1, max: 60 }),
        (values, most) => {
          const samples = values.map((c, i) => ({ at: i * 60_000, c }));
          const kept = thinToColdest(samples, most);
          expect(kept.length).toBeLessThanOrEqual(
            Math.max(most, samples.length <= most ? samples.length : 0),
          );
          expect(Math.min(...kept.map((s) => s.c))).toBe(Math.min(...values));
          expect([...kept].sort((a, b) => a.at - b.at)).toEqual(kept);
        },
      ),
      { seed: 5 },
    );
  });
});

test('beside a floor a figure never shows as reaching what it misses, however many digits are asked for', () => {
  expect([54.96, 54.996, 55, 55.04].map((c) => tempBeside(c, 55, 'C', 1))).toEqual([
    '54.96 °C',
    '54.996 °C',
    '55.0 °C',
    '55.0 °C',
  ]);
  expect(tempBeside(54.6, 55, 'C')).toBe('54.6 °C');
  expect(tempBeside(54.99, 55, 'F', 1)).toBe('130.98 °F');
});
