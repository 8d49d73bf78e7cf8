import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import {
  startTimeStampService,
  type TimeStampService,
} from '../../tests/support/time-stamp-service';
import { digestOfToken, requestTimeStamp } from './time-stamp';

/** RFC 3161 by OpenSSL's own service, and its tokens checked by OpenSSL again. */
let service: TimeStampService;
beforeAll(async () => {
  service = await startTimeStampService();
}, 30_000);
afterAll(() => service.close());

const digestOf = (text: string): string => createHash('sha256').update(text).digest('hex');

test('a token vouches for the digest that was sent, and OpenSSL verifies it against the service’s root', async () => {
  const digest = digestOf('the end of a log');
  const { token, at } = await requestTimeStamp(service.url, digest);
  expect(digestOfToken(token)).toBe(digest);
  expect(Math.abs(at - Date.now())).toBeLessThan(10_000);
  const file = path.join(service.folder, 'token.tst');
  fs.writeFileSync(file, token);
  const verify = (of: string): string =>
    execFileSync(
      'openssl',
      ['ts', '-verify', '-digest', of, '-token_in', '-in', file, '-CAfile', service.root],
      { encoding: 'utf8', stdio: 'pipe' },
    );
  expect(verify(digest)).toMatch(/Verification: OK/);
  expect(() => verify(digestOf('another end'))).toThrow();
});

test('a service that vouches for something else, refuses, or is not there is told', async () => {
  const digest = digestOf('the end of a log');
  service.answers = 'something-else';
  await expect(requestTimeStamp(service.url, digest)).rejects.toThrow(/something else/);
  service.answers = 'error';
  await expect(requestTimeStamp(service.url, digest)).rejects.toThrow(/answered 500/);
  service.answers = 'nonsense';
  await expect(requestTimeStamp(service.url, digest)).rejects.toThrow();
  service.answers = 'truth';
  await expect(requestTimeStamp('http://127.0.0.1:9', digest)).rejects.toThrow();
});
