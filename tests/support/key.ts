import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { beginMemory, keepMemoryVersion } from '@/db/site-heads';
import { createSiteKey } from '@/platform/site-key';

/** Makes a key with its memory in a new folder; this process signs with it from now on. @returns the folder */
export function makeKeyFolder(): string {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'key-'));
  process.env.ZEALOUS_KEY = path.join(folder, 'key.pem');
  createSiteKey(process.env.ZEALOUS_KEY);
  beginMemory();
  keepMemoryVersion();
  return folder;
}
export function removeKeyFolder(folder: string): void {
  delete process.env.ZEALOUS_KEY;
  fs.rmSync(folder, { recursive: true, force: true });
}
