/**
 * Which passwords are taken (NIST SP 800-63B, 3.1.1.2): long enough, and nothing that is tried first: common passwords,
 * runs of keys or letters, words that everybody connects with the account. There are no rules about kinds of characters.
 */
import { limits, type PasswordTrouble } from '@hapset/contract';
import { dictionary } from '@zxcvbn-ts/language-common';

const common: ReadonlySet<string> = new Set(dictionary['passwords-common'].map((word) => String(word).toLowerCase()));
const runs = ['abcdefghijklmnopqrstuvwxyz', '01234567890', 'qwertyuiop', 'asdfghjkl', 'zxcvbnm'];
/** What has to be left beside a common or personal word. */
const leastBeside = 6;
const longestWord = 40;

/**
 * @param words that everybody connects with the account: name, e-mail address, the school's name
 * @returns what is wrong; null when it is taken
 */
export function troubleWithPassword(password: string, words: readonly string[]): PasswordTrouble | null {
  const length = [...password].length;
  if (length < limits.leastPassword) return 'too-short';
  if (password.length > limits.passwordLength) return 'too-long';
  const lower = password.normalize('NFKC').toLowerCase();
  if (isCommon(lower)) return 'common';
  if (isPersonal(lower, words)) return 'personal';
  return null;
}

function isCommon(password: string): boolean {
  if (common.has(password) || common.has(unit(password))) return true;
  // A common word with a year or a sign behind it is the next thing that is tried.
  const word = password.replace(/[^\p{L}]+$/u, '').replace(/^[^\p{L}]+/u, '');
  return word.length <= longestWord && password.length - word.length < leastBeside && common.has(word)
    ? true
    : isRun(password);
}

/** What it repeats; itself where it repeats nothing. */
function unit(password: string): string {
  const at = (password + password).indexOf(password, 1);
  return password.slice(0, at);
}

/** One character over and over, or neighbours of the alphabet, the digits or a row of keys. */
function isRun(password: string): boolean {
  if (new Set(password).size <= 2) return true;
  const long = runs.map((run) => run.repeat(Math.ceil(password.length / run.length) + 1));
  return long.some((run) => run.includes(password) || [...run].reverse().join('').includes(password));
}

function isPersonal(password: string, words: readonly string[]): boolean {
  const parts = [...words, 'hapset']
    .flatMap((word) =>
      word
        .normalize('NFKC')
        .toLowerCase()
        .split(/[^\p{L}\p{N}]+/u),
    )
    .filter((part) => part.length >= 3)
    .sort((one, other) => other.length - one.length);
  const left = parts.reduce((rest, part) => rest.replaceAll(part, ''), password);
  return left !== password && left.replace(/[^\p{L}\p{N}]/gu, '').length < leastBeside;
}
