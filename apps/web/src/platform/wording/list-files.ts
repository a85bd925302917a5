import type { ColumnRole } from '@hapset/core';
import type { ListFileProblem } from '../table-file/list-file.js';

export const listFileWords: Readonly<Record<ListFileProblem, string>> = {
  'too-large': 'This file is too large, or unpacks to too much. Save the list alone as CSV and choose that.',
  'not-a-list': 'This is no list that can be read. Choose a CSV, XLSX or ODS file.',
  'too-wide': 'This table has more than 200 columns. Save the list alone as CSV and choose that.',
  empty: 'There is nothing in this list.',
};

export const columnWords: Readonly<Record<ColumnRole, string>> = {
  what: 'Link or words',
  title: 'Title',
  instruction: 'What to do',
  tags: 'Tags',
  none: 'Not used',
};
