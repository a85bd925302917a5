// How often a roster is understood at once: columns, whole tables, and letters of names, over tables from many countries.
import { decodeText, findEncoding, readRoster, understandRoster } from '@hapset/core';
import { readTables } from '../roster-corpus/roster-corpus.mjs';

export async function bench() {
  const inView = readTables('in-view').map(judgeTable);
  for (const { name, wrong } of inView.filter((result) => !result.right)) console.log(`  ${name}: ${wrong}`);
  const heldOut = readTables('held-out').map(judgeTable);
  return [...figures('in view', inView), ...figures('held out', heldOut), ...figures('all', [...inView, ...heldOut])];
}

function figures(which, results) {
  const sum = (of) => results.reduce((total, result) => total + of(result), 0);
  const share = (part, whole) => `${part} of ${whole} (${((100 * part) / whole).toFixed(1)} %)`;
  return [
    {
      what: `${which}: columns right`,
      value: share(
        sum(({ columnsRight }) => columnsRight),
        sum(({ columns }) => columns),
      ),
      target: 'at least 97 %',
    },
    {
      what: `${which}: tables right at once`,
      value: share(
        sum(({ right }) => (right ? 1 : 0)),
        results.length,
      ),
      target: 'at least 95 %',
    },
    { what: `${which}: names with a wrong letter`, value: sum(({ wrongLetters }) => wrongLetters), target: 'none' },
  ];
}

/** The table is written as a file of its encoding, and read as any file. */
export function judgeTable({ name, rows, encoding, roles, students }) {
  const bytes = encode(rows.map((row) => row.join('\t')).join('\n'), encoding);
  const read = decodeText(bytes, findEncoding(bytes))
    .split('\n')
    .map((line) => line.split('\t'));
  const layout = understandRoster(read);
  const told = readRoster(read, layout).students;
  const key = (student) =>
    [student.schoolId ?? student.id ?? '', student.name, student.className, student.year].join(' | ');
  const wanted = students.map(key).sort();
  const found = told.map(key).sort();
  const columns = roles.map((role, column) => (layout.roles[column] === role ? 1 : 0));
  const missing = wanted.find((student) => !found.includes(student));
  const letters = new Set(students.flatMap((student) => student.name.normalize('NFC').split(' ')));
  return {
    name,
    columns: roles.length,
    columnsRight: columns.filter(Boolean).length,
    right: columns.every(Boolean) && wanted.join('\n') === found.join('\n'),
    wrongLetters:
      encoding === 'utf-8'
        ? 0
        : told.filter(
            (student) => student.name.split(' ').some((word) => !letters.has(word)) && hasWrongLetter(read, rows),
          ).length,
    wrong: `${roles.join(' ')} expected, ${layout.roles.join(' ')} said; ${wanted.length} students, ${found.length} found; ${missing ?? ''}`,
  };
}

const hasWrongLetter = (read, rows) =>
  read.map((row) => row.join('\t')).join('\n') !== rows.map((row) => row.join('\t')).join('\n');

function encode(text, encoding) {
  if (encoding === 'utf-8') return new TextEncoder().encode(text);
  const decoder = new TextDecoder(encoding);
  const bytes = new Map(Array.from({ length: 256 }, (_, byte) => [decoder.decode(Uint8Array.of(byte)), byte]));
  return Uint8Array.from(text, (letter) => bytes.get(letter) ?? 0x3f);
}
