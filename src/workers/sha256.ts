import { sha256 as hash } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/** SHA-256 of a text in UTF-8, in small hexadecimal figures; in the browser, and without waiting. */
export const sha256InWorker = (text: string): string => bytesToHex(hash(utf8ToBytes(text)));
