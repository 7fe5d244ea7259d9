import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/** Digests of texts, loaded with the first backup. */
export const digest = {
  /** SHA-256 (FIPS 180-4) of a text in UTF-8, in hexadecimal. `digest.sha256('abc')` → `ba7816bf…` */
  sha256: (text: string): string => bytesToHex(sha256(utf8ToBytes(text))),
};
