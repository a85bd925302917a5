import fc from 'fast-check';
import { nameKey, sortName, splitFamilyFirst, splitName, wholeName } from './name.js';

describe('names', () => {
  it.each([
    ['Ann Lee', 'Ann', '', 'Lee', 'Lee, Ann'],
    ['Lee, Ann', 'Ann', '', 'Lee', 'Lee, Ann'],
    ['de la Cruz, Ana María', 'Ana', 'María', 'de la Cruz', 'de la Cruz, Ana, María'],
    ['Jan van der Berg', 'Jan', '', 'van der Berg', 'van der Berg, Jan'],
    ['J. R. Moss', 'J.', 'R.', 'Moss', 'Moss, J., R.'],
    ['Suharto', 'Suharto', '', '', 'Suharto'],
    ['山田太郎', '山田太郎', '', '', '山田太郎'],
    ['Siobhán Ní Dhomhnaill', 'Siobhán', '', 'Ní Dhomhnaill', 'Ní Dhomhnaill, Siobhán'],
    ['  O’Connor-Smith ,  Mary  Jane ', 'Mary', 'Jane', 'O’Connor-Smith', 'O’Connor-Smith, Mary, Jane'],
    ['Omar bin Said', 'Omar', '', 'bin Said', 'bin Said, Omar'],
  ])('%s', (whole, given, middle, family, sorted) => {
    expect(splitName(whole)).toEqual({ prefix: '', given, middle, family });
    expect(sortName(splitName(whole))).toBe(sorted);
  });

  it('in one cell are parted at the comma, or before the family’s particles', () => {
    expect(splitName('Dallow,Maren Ida')).toMatchObject({ family: 'Dallow', given: 'Maren', middle: 'Ida' });
    expect(splitName('Dallow,  Maren')).toMatchObject({ family: 'Dallow', given: 'Maren', middle: '' });
    expect(splitName('  Maren   Ida Dallow ')).toMatchObject({ given: 'Maren', middle: 'Ida', family: 'Dallow' });
    expect(splitName('Maren van der Dallow')).toMatchObject({ given: 'Maren', middle: '', family: 'van der Dallow' });
  });

  it('are written together, family first, only where all of it is written without blanks', () => {
    const of = (given: string, family: string, middle = ''): string => wholeName({ prefix: '', given, middle, family });
    expect(of('太郎', '山田')).toBe('山田太郎');
    expect(of('Taro', '山田')).toBe('Taro 山田');
    expect(of('太郎', '山田', 'K')).toBe('太郎 K 山田');
  });

  it('are whole again as people say them', () => {
    expect(wholeName({ prefix: 'van der', given: 'Jan', middle: 'W.', family: 'Berg' })).toBe('Jan W. van der Berg');
    expect(wholeName({ prefix: '', given: '太郎', middle: '', family: '山田' })).toBe('山田太郎');
    expect(wholeName({ prefix: '', given: '민수', middle: '', family: '김' })).toBe('김민수');
    expect(wholeName({ prefix: '', given: 'Cher', middle: '', family: '' })).toBe('Cher');
  });

  it('lose nothing but order and blanks, whatever they are', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.string({
            unit: fc.constantFrom('a', 'É', 'ß', '-', '’', '太', 'ム', 'م', 'ש'),
            minLength: 1,
            maxLength: 8,
          }),
          { minLength: 1, maxLength: 6 },
        ),
        (words) => {
          const letters = (text: string): string => [...text.normalize('NFC').replace(/\s/gu, '')].sort().join('');
          expect(letters(wholeName(splitName(words.join(' '))))).toBe(letters(words.join('')));
        },
      ),
    );
  });

  it('are the same to the eye without marks, case and hyphens', () => {
    expect(nameKey('Núñez-Ó Briain')).toBe(nameKey('nunez o briain'));
    expect(nameKey('Lee')).not.toBe(nameKey('Leo'));
  });
});

describe('particles', () => {
  it.each(
    'van von der den de del della di da do dos das du la le el al bin bint ibn ben abu ter ten te zu zur zum ó ní nic mac af av san st st. ’t y e'
      .replace('’', "'")
      .split(' '),
  )('%s belongs to the family name', (particle) =>
    expect(splitName(`Ana Maria ${particle} Silva`)).toMatchObject({ middle: 'Maria', family: `${particle} Silva` }),
  );

  it('other words do not', () =>
    expect(splitName('Ana Maria Lee Silva')).toEqual({
      prefix: '',
      given: 'Ana',
      middle: 'Maria Lee',
      family: 'Silva',
    }));
});

describe('names with the family name first', () => {
  it.each([
    ['Nagy Anna', 'Anna', '', 'Nagy'],
    ['LEFÈVRE Léa', 'Léa', '', 'LEFÈVRE'],
    ['VAN DEN BERG Noor Marie', 'Noor', 'Marie', 'VAN DEN BERG'],
    ['GARCÍA LÓPEZ Ana', 'Ana', '', 'GARCÍA LÓPEZ'],
    ['de la Cruz Ana', 'Ana', '', 'de la Cruz'],
    ['Зайцева Иван Сергеевна', 'Иван', 'Сергеевна', 'Зайцева'],
    ['KISS ANNA', 'ANNA', '', 'KISS'],
    ['Lee, Ann', 'Ann', '', 'Lee'],
    ['Suharto', 'Suharto', '', ''],
    ['', '', '', ''],
  ])('%s', (whole, given, middle, family) =>
    expect(splitFamilyFirst(whole)).toEqual({ prefix: '', given, middle, family }),
  );
});
