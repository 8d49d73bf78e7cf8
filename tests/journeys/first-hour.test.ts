import type { Page } from 'puppeteer-core';
import { axe, fill, open, press, startApp, textOf, waitText, type App } from '../support/app';

/** From nothing to a first verdict, with every tap counted; and a sample that leaves nothing behind. */
let app: App;
beforeEach(async () => {
  app = await startApp();
  await app.signUp();
}, 60_000);
afterEach(() => app?.stop(), 60_000);

/** Presses and types, and counts a tap for each press and for each field that is gone into. */
function countTaps(page: Page) {
  let taps = 0;
  return {
    press: (label: string): Promise<void> => {
      taps += 1;
      return press(page, label);
    },
    fill: (label: string, text: string): Promise<void> => {
      taps += 1;
      return fill(page, label, text);
    },
    get taps() {
      return taps;
    },
  };
}

const MOST_TAPS = 15;
test.each([
  ['phone', { width: 390, height: 844, phone: true }],
  ['laptop', { width: 1280, height: 800 }],
])(
  'on a %s: site, purpose, thermometer, batch, temperatures, and where it stands',
  async (_, size) => {
    const { page, errors, close } = await app.page(size);
    const hand = countTaps(page);
    await open(page, app.base);
    await hand.fill('Name of the site', 'Hopyard Corner');
    await hand.press('Go on');

    await waitText(page, 'main', /What do you make compost for/);
    expect(await axe(page)).toEqual([]);
    await hand.press('Certified organic');
    // Its time zone is UTC, which tells no country.
    await hand.press('United States');
    await hand.fill('Your name', 'Mo');
    await hand.press('Next');

    await waitText(page, 'main', /Which thermometer do you use/);
    expect(await axe(page)).toEqual([]);
    await hand.press('Next');

    await waitText(page, 'main', /Your first batch/);
    await hand.press('Yes, adding is finished');
    expect(await axe(page)).toEqual([]);
    await hand.press('Start Avocet');

    await waitText(page, 'main', /What does it read now/);
    expect(await axe(page)).toEqual([]);
    const fields = await page.$$eval('main input[inputmode=decimal]', (els) =>
      els.map((el) => (el as HTMLInputElement).labels?.[0]?.textContent ?? ''),
    );
    expect(fields.length).toBeGreaterThanOrEqual(3);
    for (const [i, label] of fields.entries()) await hand.fill(label, String(60 - i));
    await hand.press('Save and see where it stands');
    await waitText(page, '[data-testid=verdict]', /./);
    expect(hand.taps).toBeLessThanOrEqual(MOST_TAPS);
    expect(errors).toEqual([]);
    await close();
  },
  120_000,
);

test('every step can be skipped, and a sample can be looked at and is nowhere afterwards', async () => {
  const { page, errors, close } = await app.page();
  await open(page, app.base);
  await fill(page, 'Name of the site', 'Hopyard Corner');
  await press(page, 'Go on');
  for (const title of [/What do you make/, /Which thermometer/, /Your first batch/]) {
    await waitText(page, 'main', title);
    await press(page, 'Skip this step');
  }
  await waitText(page, 'main', /No batch yet/);
  await press(page, 'Look at a sample batch');
  await waitText(page, 'main', /This batch is made up[^]*Robin/);
  expect(await textOf(page, '[data-testid=verdict]')).toMatch(/\d d \d+ h/);
  expect(await axe(page)).toEqual([]);
  await press(page, 'Throw the sample away');
  await waitText(page, 'main', /No batch yet/);
  await open(page, `${app.base}/records`);
  expect(await textOf(page, 'main')).not.toMatch(/Robin/);
  expect(errors).toEqual([]);
  await close();
}, 120_000);
