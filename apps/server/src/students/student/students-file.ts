/** Students as CSV, XLSX or JSON. No cell runs in a spreadsheet, and ids keep their leading zeros. */
import { utils, write } from '@e965/xlsx';
import { safeCsv } from '../../platform/spreadsheet/safe-csv.js';
import type { Student } from './student.entity.js';

export const studentFileFormats = ['csv', 'xlsx', 'json'] as const;
export type StudentFileFormat = (typeof studentFileFormats)[number];

export const studentFileTypes: Readonly<Record<StudentFileFormat, string>> = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  json: 'application/json; charset=utf-8',
};

const fields = ['Id', 'Prefix', 'Given name', 'Middle name', 'Family name', 'Name', 'Class', 'Year', 'Left'] as const;

export function studentsFile(students: readonly Student[], format: StudentFileFormat): Buffer {
  const rows = students.map(({ schoolId, prefix, given, middle, family, name, className, year, leftAt }) => [
    schoolId ?? '',
    prefix,
    given,
    middle,
    family,
    name,
    className,
    year,
    leftAt?.toISOString().slice(0, 10) ?? '',
  ]);
  switch (format) {
    case 'csv':
      return Buffer.from(safeCsv(fields, rows));
    case 'xlsx': {
      const book = utils.book_new();
      // Text, whatever it looks like: nothing is a number, nothing a formula.
      const sheet = utils.aoa_to_sheet([[...fields], ...rows].map((row) => row.map((value) => ({ t: 's', v: value }))));
      utils.book_append_sheet(book, sheet, 'Students');
      return Buffer.from(write(book, { type: 'array', bookType: 'xlsx' }) as ArrayBuffer);
    }
    case 'json':
      return Buffer.from(
        JSON.stringify(
          students.map(({ schoolId, prefix, given, middle, family, name, className, year, leftAt }) => ({
            id: schoolId,
            prefix,
            given,
            middle,
            family,
            name,
            class: className,
            year,
            left: leftAt?.toISOString() ?? null,
          })),
          null,
          2,
        ),
      );
  }
}
