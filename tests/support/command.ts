import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import type { Page } from 'puppeteer-core';
import { fill, open, press, sleep, waitText } from './app';

const ROOT = path.resolve(__dirname, '../..');
const ZEALOUS = path.join(ROOT, 'zealous');

/** Whether a process lives. */
export function isAlive(pid: number): boolean {
  try {
    return !/^State:\s+[ZX]/m.test(fs.readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
}

/** Waits until a server and its database answer. @throws Error after a minute */
export async function answersAgain(url: string): Promise<void> {
  for (let i = 0; i < 300; i += 1) {
    const isThere = await fetch(`${url}/api/health`, { signal: AbortSignal.timeout(1000) }).then(
      (r) => r.ok,
      () => false,
    );
    if (isThere) return;
    await sleep(200);
  }
  throw new Error('it does not come up again');
}

/**
 * `./zealous start` as a person runs it, with data of its own.
 * @param data where it keeps everything
 * @param more what else its environment says
 */
export function createCommand(data: string, more: Readonly<Record<string, string>> = {}) {
  // What the tests' own database is reached by is not its.
  const {
    DATABASE_URL: _url,
    DATABASE_ACCOUNTS_URL: _accounts,
    DATABASE_ADMIN_URL: _admin,
    PG_DIR: _dir,
    PG_MODE: _mode,
    ...rest
  } = process.env;
  const env = { ...rest, ZEALOUS_DATA: data, ...more } as NodeJS.ProcessEnv;
  let running: ChildProcess | null = null;
  let printed = '';
  return {
    env,
    /** The shell that runs it. */
    pid: (): number => running?.pid ?? 0,
    /** Starts it and waits for the one address that it prints. */
    start(): Promise<string> {
      const command = spawn(ZEALOUS, ['start'], {
        ...{ env, stdio: ['ignore', 'pipe', 'pipe'], detached: true },
      });
      running = command;
      printed = '';
      return new Promise((resolve, reject) => {
        command.stdout?.on('data', (chunk: Buffer) => {
          printed += chunk.toString();
          const url = /http:\/\/127\.0\.0\.1:\d+/.exec(printed)?.[0];
          if (url !== undefined) resolve(url);
        });
        command.stderr?.on('data', (chunk: Buffer) => {
          printed += chunk.toString();
        });
        command.once('exit', () => reject(new Error(`it ended: ${printed}`)));
      });
    },
    /** What it has printed since it was started. */
    printed: (): string => printed,
    /** The link for the first account, which it prints while there is none. */
    async firstLink(): Promise<string> {
      for (let i = 0; i < 100; i += 1) {
        const link = /http:\S+\/join\/\S+/.exec(printed)?.[0];
        if (link !== undefined) return link;
        await sleep(100);
      }
      throw new Error(`no link was printed: ${printed}`);
    },
    /** What another of its commands prints. */
    run: (...args: string[]): string => execFileSync(ZEALOUS, args, { env, encoding: 'utf8' }),
    /** Ends it, as Ctrl-C in its terminal does. */
    interrupt(): void {
      if (running?.pid !== undefined && isAlive(running.pid)) process.kill(-running.pid, 'SIGINT');
      running = null;
    },
  };
}

/** Makes the first account behind the printed link, and names the site. */
export async function setUpSite(page: Page, link: string): Promise<void> {
  await open(page, link);
  await fill(page, 'Your name', 'Mo');
  await fill(page, 'User name', 'mo');
  await fill(page, 'Password', 'many warm heaps');
  await press(page, 'Create account');
  await fill(page, 'Name of the site', 'Hopyard Corner');
  await press(page, 'Go on');
  await waitText(page, 'main', /What do you make compost for/);
}
