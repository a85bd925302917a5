/**
 * Passwords as argon2id hashes in the PHC string format, which names its parameters; m = 19 MiB, t = 2, p = 1 (OWASP
 * Password Storage Cheat Sheet). Hashes of the earlier scrypt form (`scrypt$salt$hash`, N = 2^15, r = 8, p = 1) still match.
 */
import { scryptSync, timingSafeEqual } from 'node:crypto';
import { Algorithm, hash, hashSync, verifySync, type Options } from '@node-rs/argon2';

const parameters = {
  algorithm: 2 satisfies Algorithm.Argon2id as Algorithm,
  memoryCost: 19_456,
  timeCost: 2,
  parallelism: 1,
} as const satisfies Options;
const current = `$argon2id$v=19$m=${parameters.memoryCost},t=${parameters.timeCost},p=${parameters.parallelism}$`;

/** For commands and tests. A server hashes in a thread of its own (PasswordHasher). */
export async function hashPassword(password: string): Promise<string> {
  return hash(password.normalize('NFC'), parameters);
}

/** Blocks its thread for some 30 ms. */
export function hashPasswordNow(password: string): string {
  return hashSync(password.normalize('NFC'), parameters);
}

/** Takes as long for a wrong password as for a right one, and blocks its thread meanwhile. False for a hash that can't be read. */
export function passwordMatchesNow(password: string, stored: string): boolean {
  const given = password.normalize('NFC');
  if (stored.startsWith('scrypt$')) return matchesScrypt(given, stored);
  try {
    return verifySync(stored, given);
  } catch {
    return false;
  }
}

/** Whether it was made with other parameters than today's, and is made again at the next sign-in. */
export function isOutdated(stored: string): boolean {
  return !stored.startsWith(current);
}

function matchesScrypt(password: string, stored: string): boolean {
  const [, salt = '', key = ''] = stored.split('$');
  const wanted = Buffer.from(key, 'base64url');
  const given = scryptSync(password, Buffer.from(salt, 'base64url'), 32, {
    N: 2 ** 15,
    r: 8,
    p: 1,
    maxmem: 64 * 1024 * 1024,
  });
  return wanted.length === given.length && timingSafeEqual(wanted, given);
}
