/** A copy for people, as one page that needs nothing else: read in any browser, or printed. */
import { wholeName } from '@hapset/core';
import escape from 'escape-html';
import type { StudentCopy } from './student-copy.js';

/** How the school writes dates, and for which school it is. */
export interface CopySetting {
  readonly schoolName: string;
  /** IANA. */
  readonly timeZone: string;
  /** BCP 47. */
  readonly language: string;
  readonly madeAt: Date;
}

type Cells = readonly string[];

const style =
  ':root{color-scheme:light dark}body{font:16px/1.5 system-ui,sans-serif;max-width:52rem;margin:2rem auto;padding:0 1.2rem}h1{line-height:1.2}h2{margin-top:2rem}table{border-collapse:collapse;width:100%}th,td{text-align:start;vertical-align:top;padding:.3rem .8rem .3rem 0;border-bottom:1px solid #8886}td{overflow-wrap:anywhere}';

export function studentCopyHtml(
  { student, cards, printed, readings, imports, photo }: StudentCopy,
  setting: CopySetting,
): string {
  const format = new Intl.DateTimeFormat(setting.language, {
    dateStyle: 'long',
    timeStyle: 'short',
    timeZone: setting.timeZone,
  });
  const time: Time = (date) => (date ? format.format(date) : '');
  const parts: readonly string[] = [
    table([], aboutStudent(student, time)),
    ...(photo
      ? [
          `<h2>Photo</h2>\n<p><img alt="Photo" width="192" src="data:image/jpeg;base64,${Buffer.from(photo).toString('base64')}"></p>`,
        ]
      : []),
    section(
      'Codes on student cards',
      ['Code', 'Made', 'Replaced'],
      cards.map(({ token, madeAt, replacedAt }) => [token, time(madeAt), time(replacedAt)]),
    ),
    section(
      'Printed student cards',
      ['Printed', 'What the code says', 'What is written on it'],
      printed.map(({ print, content }) => [time(print.madeAt), content.payload, writtenOn(content)]),
    ),
    section(
      'When a card was read',
      ['Read', 'By', 'What was read'],
      readings.map(({ readAt, readBy, byId }) => [time(readAt), readBy.name, byId ? 'A typed id' : 'The card']),
    ),
    section(
      'Imports of class lists',
      ['Imported', 'What changed', 'Before'],
      imports.map(({ importedAt, did, before }) => [
        time(importedAt),
        didWords[did],
        before ? writtenBefore(before) : '',
      ]),
    ),
  ];
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>What is stored about a student</title><style>${style}</style></head>
<body><main><h1>What ${escape(setting.schoolName)} stores about ${escape(student.name)} in Hapset</h1>
<p>Made on ${escape(time(setting.madeAt))}. Hapset makes QR codes and student cards. It stores no marks and no answers, and students have no account.</p>
${parts.join('\n')}
<h2>What this page can’t list</h2>
<p>Class lists that were read and not imported are deleted within a day. Backups of the school may hold earlier versions of these records until they are replaced. If a teacher typed a student’s name into a lesson or material, this page doesn’t show it.</p>
</main></body></html>
`;
}

type Time = (date: Date | null) => string;

function aboutStudent(student: StudentCopy['student'], time: Time): readonly Cells[] {
  const rows: readonly (readonly [string, string])[] = [
    ['Name', student.name],
    ['Prefix', student.prefix],
    ['Given name', student.given],
    ['Middle name', student.middle],
    ['Family name', student.family],
    ['Id at the school', student.schoolId ?? ''],
    ['Class', student.className],
    ['Year', student.year],
    ['Edited at the school; the class list says', editedWords(student.edited)],
    ['Recorded since', time(student.createdAt)],
    ['Left the school', time(student.leftAt)],
  ];
  return rows.filter(([, value]) => value !== '');
}

function editedWords({ name, ...others }: StudentCopy['student']['edited']): string {
  return [name && wholeName(name), ...Object.values(others)].filter(Boolean).join(', ');
}

const didWords = { added: 'Added', changed: 'Changed', left: 'Marked as left' } as const;

function section(title: string, heads: Cells, rows: readonly Cells[]): string {
  return `<h2>${escape(title)}</h2>\n${rows.length === 0 ? '<p>Nothing.</p>' : table(heads, rows)}`;
}

function table(heads: Cells, rows: readonly Cells[]): string {
  const head = heads.map((cell) => `<th scope="col">${escape(cell)}</th>`).join('');
  const body = rows.map((row) => `<tr>${row.map((cell) => `<td>${escape(cell)}</td>`).join('')}</tr>`);
  return `<table>${head === '' ? '' : `<thead><tr>${head}</tr></thead>`}<tbody>${body.join('')}</tbody></table>`;
}

function writtenOn({ title, more }: StudentCopy['printed'][number]['content']): string {
  return [title, more?.texts.class, more?.texts.number, more?.texts.place].filter(Boolean).join(', ');
}

function writtenBefore(before: NonNullable<StudentCopy['imports'][number]['before']>): string {
  return [wholeName(before), before.className, before.year, before.schoolId].filter(Boolean).join(', ');
}
