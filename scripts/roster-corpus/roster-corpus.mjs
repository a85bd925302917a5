// Rosters as schools have them: tables made from a line each, with who is in them. Both files were written before the
// understanding of columns was; `held-out.txt` is not read while its rules are changed.
//
// name | people | columns | options (parted by blanks; `;;` parts those whose value has blanks)
// A column: role, head, "=" what is in it. Options: n students, sort by F, enc, nohead, above and below (rows by ~, cells by ^),
// heads2 (two rows of heads), between (a row with the class before each block), titleclass (a title names the class).
import { readFileSync } from 'node:fs';
import { poolOf } from './pools.mjs';

/** @param name 'in-view' or 'held-out' */
export function readTables(name) {
  return readFileSync(new URL(`./${name}.txt`, import.meta.url), 'utf8')
    .trim()
    .split('\n')
    .map(makeTable);
}

function makeTable(line) {
  const [name, pool, columns, options = ''] = line.split(' | ').map((part) => part.trim());
  const shape = { columns: columns.split('; ').map(readColumn), ...readOptions(options) };
  const random = seeded(name);
  const people = makePeople(poolOf(pool), shape, random);
  const blocks = shape.between ? shape.classes.map((own) => people.filter((one) => one.className === own)) : [people];
  const heads = headRows(shape);
  const rows = [...shape.above];
  let seq = 0;
  const students = [];
  blocks.forEach((block, index) => {
    if (shape.between) {
      if (index > 0) rows.push(['']);
      // The heads come first once, or after each class.
      if (index === 0 && !shape.repeat) rows.push(...heads);
      rows.push([shape.between.replace('{c}', shape.classes[index])]);
      if (shape.repeat) rows.push(...heads);
    } else rows.push(...heads);
    block.forEach((one, position) => {
      seq += 1;
      rows.push(shape.columns.map(({ kind }) => cellOf(kind, one, { seq, position: position + 1, random })));
      students.push(truthOf(shape, rows.at(-1), one));
    });
  });
  rows.push(...shape.below);
  return {
    name,
    rows,
    encoding: shape.enc ?? 'utf-8',
    roles: shape.columns.map(({ role }) => role),
    header: heads.length > 0,
    students,
  };
}

function readColumn(text) {
  const [, role, head, kind] = /^(\w+) (.*?) ?=(.+)$/.exec(text.trim());
  return { role, head, kind };
}

function readOptions(text) {
  const shape = { n: 12, above: [], below: [], sort: 'none' };
  const [first, ...more] = text.split(' ;; ');
  const rest = /^(above|below|heads2|between)=/.test(first) && more.length === 0 ? [first] : [first, ...more];
  for (const part of rest) takeOptions(shape, part);
  return shape;
}

const cells = (text) => text.split('~').map((row) => row.split('^'));

function takeOptions(shape, text) {
  const parts = text.split(/ (?=(?:above|below|heads2|between|titleclass|sort|enc|n|c)=|(?:nohead|repeat)(?: |$))/);
  for (const part of parts) {
    if (part.trim() === '') continue;
    const [key, ...values] = part.trim().split('=');
    const value = values.join('=').trim();
    const take = takers[key];
    if (!take) throw new Error(`What is ${part}?`);
    take(shape, value);
  }
}

const takers = {
  above: (shape, value) => (shape.above = cells(value)),
  below: (shape, value) => (shape.below = cells(value)),
  heads2: (shape, value) => (shape.heads2 = cells(value)),
  between: (shape, value) => (shape.between = value),
  titleclass: (shape, value) => (shape.titleClass = value),
  c: (shape, value) => (shape.classes = value.slice(1, -1).split(',')),
  n: (shape, value) => (shape.n = Number(value)),
  sort: (shape, value) => (shape.sort = value),
  enc: (shape, value) => (shape.enc = value),
  nohead: (shape) => (shape.nohead = true),
  repeat: (shape) => (shape.repeat = true),
};

function headRows({ columns, heads2, nohead }) {
  if (nohead) return [];
  return heads2 ?? [columns.map(({ head }) => head)];
}

function makePeople(pool, { n, sort, classes, columns, titleClass }, random) {
  const kind = columns.find(({ role }) => role === 'class')?.kind ?? '';
  const groups = classes ?? (titleClass ? [titleClass] : (/^(?:c|const)\((.*)\)$/.exec(kind)?.[1].split(',') ?? ['']));
  const people = Array.from({ length: n }, (_, index) => {
    const families = [shuffledAt(pool.family, index, random), pool.family[Math.floor(random() * pool.family.length)]];
    return {
      given: shuffledAt(pool.given, index * 5 + Math.floor(random() * 3), random),
      otherGiven: pool.given[Math.floor(random() * pool.given.length)],
      family: families[0],
      otherFamily: families[1],
      middle: pool.middle[Math.floor(random() * pool.middle.length)],
      className: groups[Math.floor((index * groups.length) / n)],
      number: 3000 + index * 17 + Math.floor(random() * 9),
    };
  });
  if (sort !== 'F') return people;
  const sorted = [...people].sort((one, other) => one.family.localeCompare(other.family, 'en'));
  // Sorted within the class, as offices print them.
  return sorted
    .map((one, index) => ({ ...one, className: people[index].className }))
    .sort((one, other) => groups.indexOf(one.className) - groups.indexOf(other.className));
}

function shuffledAt(list, index, random) {
  return list[(index * 7 + Math.floor(random() * 2)) % list.length];
}

const two = (number) => String(number).padStart(2, '0');
const latin = (text) =>
  text
    .normalize('NFD')
    .replace(/[^\x20-\x7e]/g, '')
    .toLowerCase()
    .replace(/[^a-z]/g, '') || 'user';
const pick = (list, random) => list[Math.floor(random() * list.length)];

const makers = {
  F: ({ family }) => family,
  'F~': ({ otherFamily }) => otherFamily,
  UF: ({ family }) => family.toUpperCase(),
  FF: ({ family, otherFamily }) => `${family} ${otherFamily}`,
  G: ({ given }) => given,
  'G~': ({ otherGiven }) => otherGiven,
  UG: ({ given }) => given.toUpperCase(),
  GM: ({ given, middle }) => `${given} ${middle}`,
  M: ({ middle }) => middle,
  I: ({ middle }) => middle[0],
  T: (_, { random }) => pick(['', '', '', 'van', 'de', 'van der', ''], random),
  GF: ({ given, family }) => `${given} ${family}`,
  GFF: ({ given, family, otherFamily }) => `${given} ${family} ${otherFamily}`,
  'F,G': ({ family, given }) => `${family}, ${given}`,
  'F, G': ({ family, given }) => `${family}, ${given}`,
  'FF,G': ({ family, otherFamily, given }) => `${family} ${otherFamily}, ${given}`,
  'FF, G': ({ family, otherFamily, given }) => `${family} ${otherFamily}, ${given}`,
  F_G: ({ family, given }) => `${family} ${given}`,
  UF_G: ({ family, given }) => `${family.toUpperCase()} ${given}`,
  FGj: ({ family, given }) => `${family}${given}`,
  FGMru: ({ family, given, middle }) => `${family} ${given} ${middle}`,
  vi: ({ family, middle, given }) => `${family} ${middle} ${given}`,
  P: ({ family, otherGiven }) => `${otherGiven} ${family}`,
  seq: (_, { seq }) => String(seq),
  seq1: (_, { position }) => String(position),
  A4: ({ number }) => `A${number}`,
  A6: ({ number }) => `KX-2${number + 9000}`,
  y8: ({ number }) => `2026${number}`,
  upn: ({ number }) => `H82020017${number}`,
  ine: ({ number }) => `06074${number}AB`,
  hex: ({ number }) => (number * 7919 * 104729).toString(16).padStart(12, '0'),
  guid: ({ number }) => {
    const text = (number * 7919 * 104729).toString(16).padStart(12, '0');
    return `${text.slice(0, 8)}-4c1d-4a0e-9b2f-${text}`;
  },
  mail: ({ given, family, number }) => `${latin(given)}.${latin(family)}${number % 10}@students.fernhollow.example`,
  pmail: ({ family, number }) => `${latin(family)}${number % 89}@post.example`,
  login: ({ given, family }) => `${latin(given).slice(0, 1)}${latin(family)}`,
  uni: ({ given, number }) => `${latin(given).slice(0, 4)}${number}`,
  pw: ({ number }) => `Kw${number}!x`,
  'dob/': (_, { random }) => `${two(1 + Math.floor(random() * 28))}/${two(1 + Math.floor(random() * 12))}/2015`,
  'dob.': (_, { random }) => `${two(1 + Math.floor(random() * 28))}.${two(1 + Math.floor(random() * 12))}.2014`,
  'dob-': (_, { random }) => `2014-${two(1 + Math.floor(random() * 12))}-${two(1 + Math.floor(random() * 28))}`,
  dobmon: (_, { random }) => `${1 + Math.floor(random() * 28)} ${pick(['Jan', 'Mar', 'May', 'Oct'], random)} 2014`,
  pnr: ({ number }, { random }) =>
    `2014${two(1 + Math.floor(random() * 12))}${two(1 + Math.floor(random() * 28))}-${number}`,
  stamp: (_, { random }) => `2026-09-${two(1 + Math.floor(random() * 28))}T07:${two(Math.floor(random() * 60))}:00Z`,
  sex: (_, { random }) => pick(['F', 'M'], random),
  sexde: (_, { random }) => pick(['w', 'm'], random),
  sexfr: (_, { random }) => pick(['Fille', 'Garçon'], random),
  phone: ({ number }) => `01632 96${number}`,
  street: (_, { random }) =>
    `${1 + Math.floor(random() * 90)} ${pick(['Mill Lane', 'Church Road', 'Kiln Street', 'The Green'], random)}`,
  town: (_, { random }) => pick(['Springcote', 'Ellerby', 'Marsh End'], random),
  zip: (_, { random }) => `FH${1 + Math.floor(random() * 9)} ${1 + Math.floor(random() * 9)}QX`,
  lang: (_, { random }) => pick(['English', 'Polish', 'Urdu', 'Somali'], random),
  yes: (_, { random }) => pick(['yes', 'no'], random),
  pct: (_, { random }) => (80 + random() * 20).toFixed(1),
  mark: (_, { random }) => String(35 + Math.floor(random() * 60)),
  age: (_, { random }) => String(8 + Math.floor(random() * 2)),
  kana: (_, { random }) => pick(['さとう れん', 'すずき ゆい', 'たなか はると', 'こばやし りこ'], random),
  empty: () => '',
};

function cellOf(kind, one, at) {
  const list = /^(c|y|const|sparse)\((.*)\)$/.exec(kind);
  if (list) return fromList(list[1], list[2], one, at.random);
  const digits = /^([nz])(\d+)$/.exec(kind);
  if (digits) return numberOf(digits[1] === 'z', Number(digits[2]), String(one.number));
  const maker = makers[kind];
  if (!maker) throw new Error(`What is in a column of ${kind}?`);
  return maker(one, at);
}

function fromList(kind, text, { className }, random) {
  if (kind === 'const') return text;
  if (kind === 'sparse') return random() < 0.2 ? pick(text.split(/[,;]/), random) : '';
  const values = text.split(',');
  return kind === 'c' && values.includes(className) ? className : pick(values, random);
}

function numberOf(isPadded, length, number) {
  return isPadded ? number.padStart(length, '0') : `${'20260914072'.slice(0, length - number.length)}${number}`;
}

/** Who is meant, as the cells say it. */
function truthOf({ columns, between, titleClass }, row, one) {
  const cell = (role) => row[columns.findIndex((column) => column.role === role)] ?? '';
  const kind = (role) => columns.find((column) => column.role === role)?.kind;
  const whole = ['name', 'familyFirst'].find((role) => kind(role) !== undefined);
  const name = whole ? wholeOf(kind(whole), one, row[columns.findIndex(({ role }) => role === whole)]) : null;
  const parts = ['given', 'middle', 'prefix', 'family'].map(cell).filter((part) => part !== '');
  return {
    id: cell('id'),
    name: name ?? (/\p{Script=Han}/u.test(parts[0]) ? parts.reverse().join('') : parts.join(' ')),
    className: between || titleClass ? one.className : cell('class'),
    year: cell('year'),
  };
}

function wholeOf(kind, { given, family, otherFamily, middle }, cell) {
  if (/^F,|^F_G$/.test(kind)) return `${given} ${family}`;
  if (kind === 'UF_G') return `${given} ${family.toUpperCase()}`;
  if (/^FF,/.test(kind)) return `${given} ${family} ${otherFamily}`;
  // Russian lists put the family first; the name is said as it is written.
  if (kind === 'FGMru') return `${given} ${middle} ${family}`;
  return cell;
}

function seeded(text) {
  let state = [...text].reduce((sum, letter) => (sum * 31 + letter.codePointAt(0)) >>> 0, 7);
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}
