/** Tokens of one-time links: short enough to be typed from a slip of paper, too long to be guessed (80 bits). */
import { createHash, randomBytes } from 'node:crypto';

/** 32 characters that nobody takes for another. */
const alphabet = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ';
const characters = 16;

/** "K7QM-3TXH-9RWD-2LFC". */
export function newToken(): string {
  const token = [...randomBytes(characters)].map((byte) => alphabet[byte % alphabet.length]).join('');
  return token.match(/.{4}/g)?.join('-') ?? token;
}

/** Of what was typed, whatever separates its groups; small letters count as capitals. */
export function tokenHash(token: string): string {
  return createHash('sha256')
    .update(token.toUpperCase().replace(/[^A-Z0-9]/g, ''))
    .digest('hex');
}
