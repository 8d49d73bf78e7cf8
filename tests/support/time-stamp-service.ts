import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';

const CONFIG = `
[ tsa ]
serial = serial
signer_digest = sha256
default_policy = 1.3.6.1.4.1.55555.1
digests = sha256
accuracy = secs:1
ess_cert_id_alg = sha256
`;

export type TimeStampService = Awaited<ReturnType<typeof startTimeStampService>>;

/** A stand-in for a service of RFC 3161: OpenSSL's own, with a root made for it, on loopback. */
export async function startTimeStampService() {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'time-stamps-'));
  const openssl = (...args: string[]): Buffer =>
    execFileSync('openssl', args, { cwd: folder, stdio: 'pipe' });
  fs.writeFileSync(path.join(folder, 'tsa.cnf'), CONFIG);
  fs.writeFileSync(path.join(folder, 'serial'), '01\n');
  openssl(
    ...['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-keyout', 'key.pem', '-out', 'root.pem'],
    ...['-days', '2', '-subj', '/CN=Stand-in', '-addext', 'extendedKeyUsage=critical,timeStamping'],
  );
  const service = {
    folder,
    root: path.join(folder, 'root.pem'),
    url: '',
    answers: 'truth' as 'truth' | 'something-else' | 'error' | 'nonsense',
    close: (): void => undefined,
  };
  const reply = (query: Buffer): Buffer => {
    fs.writeFileSync(path.join(folder, 'query'), query);
    if (service.answers === 'something-else')
      openssl('ts', '-query', '-digest', 'ab'.repeat(32), '-sha256', '-cert', '-out', 'query');
    const signer = ['-inkey', 'key.pem', '-signer', 'root.pem'];
    openssl(
      ...['ts', '-reply', '-queryfile', 'query', '-config', 'tsa.cnf', '-section', 'tsa'],
      ...[...signer, '-out', 'reply'],
    );
    return fs.readFileSync(path.join(folder, 'reply'));
  };
  const server = http.createServer((request, response) => {
    const pieces: Buffer[] = [];
    request.on('data', (piece: Buffer) => pieces.push(piece));
    request.on('end', () => {
      if (service.answers === 'error') response.writeHead(500).end();
      else if (service.answers === 'nonsense') response.end('no token');
      else response.end(reply(Buffer.concat(pieces)));
    });
  });
  await new Promise<void>((resolve) => {
    server.listen(0, '127.0.0.1', resolve);
  });
  service.url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  service.close = () => {
    server.closeAllConnections();
    server.close();
    fs.rmSync(folder, { recursive: true, force: true });
  };
  return service;
}
