/** Passwords as scrypt hashes (RFC 7914, N = 2^15, r = 8, p = 1), `scrypt$salt$hash` in base64url. */
import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';
import { promisify } from 'node:util';

const derive = promisify<string, Buffer, number, ScryptOptions, Buffer>(scrypt);
const cost: ScryptOptions = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 };
const keyBytes = 32;

export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await derive(password.normalize('NFC'), salt, keyBytes, cost);
  return `scrypt$${salt.toString('base64url')}$${key.toString('base64url')}`;
}

/** Takes as long for a wrong password as for a right one. */
export async function passwordMatches(password: string, hash: string): Promise<boolean> {
  const [, salt = '', key = ''] = hash.split('$');
  const wanted = Buffer.from(key, 'base64url');
  const given = await derive(password.normalize('NFC'), Buffer.from(salt, 'base64url'), keyBytes, cost);
  return wanted.length === given.length && timingSafeEqual(wanted, given);
}
