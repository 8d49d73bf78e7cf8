import { zipSync } from 'fflate';
import { readDropped } from './read-dropped';

const fileOf = (name: string, bytes: Uint8Array | string): File =>
  new File([bytes as BlobPart], name);

test('a workbook that unpacks to more than a device can hold is refused before it is unpacked', async () => {
  const bomb = zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(101_000_000) });
  expect(bomb.length).toBeLessThan(200_000);
  const before = process.memoryUsage().arrayBuffers;
  expect(await readDropped(fileOf('readings.xlsx', bomb))).toMatch(
    /readings\.xlsx unpacks to more than 100 MB\. Save the sheet with your readings as CSV/,
  );
  expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(50_000_000);
}, 30_000);

test('what is no workbook at all is said to be none', async () => {
  expect(await readDropped(fileOf('readings.xlsx', 'no workbook'))).toMatch(
    /is not a workbook that can be read/,
  );
});

test('a table by its text, a batch file by its first character, bytes of another kind by neither', async () => {
  expect(await readDropped(fileOf('a.csv', 'time,P1\n2026-05-01 08:00,61'))).toEqual({
    ...{ kind: 'csv', name: 'a.csv' },
    rows: [
      ['time', 'P1'],
      ['2026-05-01 08:00', '61'],
    ],
  });
  expect(await readDropped(fileOf('a.json', '\uFEFF {"format":1}'))).toMatchObject({
    kind: 'file',
  });
  expect(await readDropped(fileOf('a.csv', new Uint8Array([0xff, 0xfe, 0x00])))).toMatch(/UTF-8/);
});
