import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/** Digests of texts, loaded with the first backup. */
export const digest = {
  /** SHA-256 (FIPS 180-4) of a text in UTF-8 that comes in pieces, in hexadecimal. `digest.sha256(['a', 'bc'])` → `ba7816bf…` */
  sha256: (pieces: Iterable<string>): string => {
    const sum = sha256.create();
    for (const piece of pieces) sum.update(utf8ToBytes(piece));
    return bytesToHex(sum.digest());
  },
};
