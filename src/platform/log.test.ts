import fs from 'node:fs';
import { log } from './log';

test('a full disk takes no line, and stops nobody', () => {
  const full = jest.spyOn(fs, 'writeSync').mockImplementation(() => {
    throw Object.assign(new Error('no space left on device'), { code: 'ENOSPC' });
  });
  log.error({ error: 'as an example' }, 'an entry was not written');
  expect(full).toHaveBeenCalledWith(1, expect.stringContaining('an entry was not written'));
  full.mockRestore();
});
