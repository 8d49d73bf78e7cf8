import fs from 'node:fs';
import path from 'node:path';
import { createTransport } from 'nodemailer';
import { env } from './env';
import { newId } from './ids';
import { log } from './log';

/** A short text to somebody. */
export type Mail = { readonly to: string; readonly subject: string; readonly text: string };

/** Nobody waits longer for the mail server, ms. */
const PATIENCE_MS = 10_000;

/** Whether this installation sends e-mail. */
export const sendsMail = (): boolean => env.smtp() !== null || env.mailbox() !== null;

/**
 * Sends an e-mail by the server that the installation names; the stand-in of demo and tests keeps it in a folder instead.
 * @returns whether it was taken; why not stands in the server's log, without whom it was for
 */
export async function sendMail(mail: Mail): Promise<boolean> {
  try {
    await deliver(mail);
    return true;
  } catch (error) {
    // What a mail server answers may name whom it was for.
    const { code, responseCode } = error as { code?: unknown; responseCode?: unknown };
    log.warn({ code, responseCode }, 'an e-mail was not sent');
    return false;
  }
}

async function deliver(mail: Mail): Promise<void> {
  const message = { from: env.mailFrom(), ...mail };
  const [smtp, mailbox] = [env.smtp(), env.mailbox()];
  if (smtp !== null) {
    await createTransport({
      ...{ url: smtp, connectionTimeout: PATIENCE_MS, greetingTimeout: PATIENCE_MS },
      socketTimeout: PATIENCE_MS,
    }).sendMail(message);
    return;
  }
  if (mailbox === null) throw new Error('no mail server is named: set ZEALOUS_SMTP');
  const written = await createTransport({ streamTransport: true, buffer: true }).sendMail(message);
  fs.mkdirSync(mailbox, { recursive: true });
  fs.writeFileSync(path.join(mailbox, `${newId()}.eml`), written.message as Buffer);
}
