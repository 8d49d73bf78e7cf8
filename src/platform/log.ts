import { writeSync } from 'node:fs';
import pino from 'pino';

/**
 * What the server writes of itself, to its standard output. A line that cannot be written is lost: where the disk is full, pino's
 * own destination tries it for ever, and the server answers nobody.
 */
export const log = pino({ level: 'info', base: undefined }, { write: writeLine });

function writeLine(line: string): void {
  try {
    writeSync(1, line);
  } catch {
    // There is nowhere left to say so.
  }
}
