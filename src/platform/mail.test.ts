import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { AddressInfo } from 'node:net';
import { SMTPServer } from 'smtp-server';
import { sendMail, sendsMail } from './mail';

const NAMES = ['ZEALOUS_SMTP', 'ZEALOUS_MAILBOX', 'ZEALOUS_MAIL_FROM'] as const;
afterEach(() => {
  for (const name of NAMES) delete process.env[name];
});
const MAIL = {
  to: 'wren@farm.example',
  subject: 'Join Hopyard Corner',
  text: 'https://heap.example/join/x',
};

/** A mail server of others (smtp-server), which takes what comes or refuses it. */
async function startMailServer(takes: boolean) {
  const taken: { from: string; to: string[]; text: string }[] = [];
  const server = new SMTPServer({
    ...{ authOptional: true, disabledCommands: ['STARTTLS'] },
    onRcptTo: (_address, _session, done) => done(takes ? null : new Error('no such mailbox')),
    onData(stream, { envelope }, done) {
      let text = '';
      stream.on('data', (piece: Buffer) => (text += piece.toString()));
      stream.on('end', () => {
        const from = envelope.mailFrom === false ? '' : envelope.mailFrom.address;
        taken.push({ from, to: envelope.rcptTo.map((r) => r.address), text });
        done();
      });
    },
  });
  const http = server.listen(0, '127.0.0.1');
  await new Promise((resolve) => http.once('listening', resolve));
  const { port } = http.address() as AddressInfo;
  return {
    taken,
    url: `smtp://127.0.0.1:${port}`,
    close: () => new Promise<void>((resolve) => server.close(resolve)),
  };
}

test('an installation that names no mail server sends none, and says so', async () => {
  expect(sendsMail()).toBe(false);
  expect(await sendMail(MAIL)).toBe(false);
});

test('an e-mail goes to the server that is named, in one line’s address and whole', async () => {
  const server = await startMailServer(true);
  process.env.ZEALOUS_SMTP = server.url;
  process.env.ZEALOUS_MAIL_FROM = 'Hopyard Corner <heap@farm.example>';
  expect([sendsMail(), await sendMail(MAIL)]).toEqual([true, true]);
  expect(server.taken).toMatchObject([{ from: 'heap@farm.example', to: ['wren@farm.example'] }]);
  expect(server.taken[0]?.text).toMatch(/^Subject: Join Hopyard Corner\r$/m);
  expect(server.taken[0]?.text).toContain(MAIL.text);
  await server.close();
});

test('a subject with a line break starts no header of its own', async () => {
  const server = await startMailServer(true);
  process.env.ZEALOUS_SMTP = server.url;
  await sendMail({ ...MAIL, subject: 'Join\r\nBcc: other@farm.example' });
  expect(server.taken[0]?.to).toEqual(['wren@farm.example']);
  expect(server.taken[0]?.text).not.toMatch(/^Bcc:/m);
  await server.close();
});

test('a server that refuses, or is not there, is told and breaks nothing', async () => {
  const server = await startMailServer(false);
  process.env.ZEALOUS_SMTP = server.url;
  expect(await sendMail(MAIL)).toBe(false);
  await server.close();
  expect(await sendMail(MAIL)).toBe(false);
});

test('the stand-in keeps what was sent in a folder', async () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'mailbox-'));
  process.env.ZEALOUS_MAILBOX = folder;
  expect([sendsMail(), await sendMail(MAIL)]).toEqual([true, true]);
  const [name = ''] = fs.readdirSync(folder);
  expect(fs.readFileSync(path.join(folder, name), 'utf8')).toContain('To: wren@farm.example');
  fs.rmSync(folder, { recursive: true });
});
