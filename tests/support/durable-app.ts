import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { connect, type Db } from '@/db/client';
import { migrate } from '@/db/migrate';
import { siteRepo, type Site } from '@/db/repositories/site';
import { newId } from '@/platform/ids';
import { answersAt, firstLink, freePort, joinBy, MANAGER, sleep } from './app';

const ROOT = path.resolve(__dirname, '../..');

/** A place that the database's own user reaches, on this machine's disk. */
function openFolder(): string {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'durable-'));
  fs.chmodSync(folder, 0o755);
  return folder;
}

export type DurableApp = Awaited<ReturnType<typeof startDurableApp>>;

/**
 * The production build on a database that keeps what it said it holds, as an installation's does: the database of other tests does
 * not wait for its disk. Both can be killed.
 * @param options.folder where the database lies; else in one of its own
 * @param options.env what the server is started with beside that
 */
export async function startDurableApp(
  options: { folder?: string; env?: Readonly<Record<string, string>> } = {},
) {
  const folder = options.folder ?? openFolder();
  const env = { ...process.env, PG_DIR: path.join(folder, 'pg'), PG_MODE: 'durable' };
  const pgRun = (...args: string[]): string =>
    execFileSync(path.join(ROOT, 'scripts/pg.sh'), args, {
      ...{ env, encoding: 'utf8' as const, stdio: ['ignore', 'pipe', 'ignore'] as const },
    }).trim();
  pgRun('start');
  pgRun('create', 'site');
  const admin: Db = connect(pgRun('admin-url', 'site'), 2);
  await migrate(admin);
  const site: Site = {
    ...{ id: newId(), name: 'Hopyard Corner', timeZone: 'Europe/London', unit: 'C' },
    demoUntil: null,
  };
  await siteRepo(admin).create(site);
  const [databaseUrl, port] = [pgRun('url', 'site'), await freePort()];
  const base = `http://127.0.0.1:${port}`;
  let server: ChildProcess;
  const start = async (): Promise<void> => {
    server = spawn(process.execPath, ['.next/standalone/server.js'], {
      ...{ cwd: ROOT, stdio: 'ignore' },
      env: {
        ...{ ...process.env, NODE_ENV: 'production', HOSTNAME: '127.0.0.1', PORT: String(port) },
        ...{ DATABASE_URL: databaseUrl, DATABASE_ACCOUNTS_URL: pgRun('accounts-url', 'site') },
        ZEALOUS_SESSION_SECRET: 'sessions of these tests',
        ...options.env,
      },
    });
    await answersAt(base);
  };
  const kill = async (signal: NodeJS.Signals = 'SIGKILL'): Promise<void> => {
    if (server.exitCode !== null || server.signalCode !== null) return;
    const gone = new Promise((resolve) => {
      server.once('exit', resolve);
    });
    server.kill(signal);
    await gone;
  };
  const pidFile = path.join(folder, 'pg/data/postmaster.pid');
  const postmaster = (): number => Number(fs.readFileSync(pidFile, 'utf8').split('\n')[0]);
  await start();
  const cookie = await joinBy(base, await firstLink(admin), MANAGER);
  return {
    ...{ admin, base, cookie, site, start, kill },
    /** Ends the database's first process, and with it all others of it. */
    killDatabase: async (): Promise<void> => {
      process.kill(postmaster(), 'SIGKILL');
      await sleep(50);
    },
    startDatabase: (): string => pgRun('start'),
    stopDatabase: (): string => pgRun('stop'),
    async stop(): Promise<void> {
      await kill();
      await admin.destroy();
      pgRun('stop');
      fs.rmSync(folder, { recursive: true, force: true });
    },
  };
}
