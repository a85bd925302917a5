import { troubleWithPassword } from './password-rules.js';

const words = ['Maren Dallow', 'maren.dallow@fernhollow.example', 'Fernhollow School'];

describe('a password', () => {
  it.each([
    ['nine chars', 'too-short', 'is long enough'.slice(0, 9)],
    ['more than 200 characters', 'too-long', 'tide '.repeat(41)],
    ['one that many have', 'common', 'password123'],
    ['one that many have, with a year and a sign', 'common', 'Football2024!'],
    ['a word twice', 'common', 'dragondragon'],
    ['a row of keys', 'common', 'qwertyuiop'],
    ['digits in order', 'common', '123456789012'],
    ['letters backwards', 'common', 'zyxwvutsrqpo'],
    ['one key', 'common', 'aaaaaaaaaaaa'],
    ['the name', 'personal', 'MarenDallow1'],
    ['the address', 'personal', 'maren.dallow@fernhollow.example'],
    ['the school', 'personal', 'Fernhollow2026'],
    ['the program', 'personal', 'hapset-hapset'],
  ])('is refused with %s', (_, trouble, password) => {
    expect(troubleWithPassword(password, words)).toBe(trouble);
  });

  it.each([
    'a shell for every crab',
    'tide pool lantern',
    'grün wie Seetang',
    '潮だまりのカニはいつも横へ',
    'x7#Kp!w9Lq',
  ])('is taken, without rules about kinds of characters: %s', (password) =>
    expect(troubleWithPassword(password, words)).toBeNull(),
  );

  it('may hold a name beside enough else', () => {
    expect(troubleWithPassword('maren walks at low tide', words)).toBeNull();
  });
});
