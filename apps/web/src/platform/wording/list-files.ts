import type { ColumnRole } from '@hapset/core';
import type { ListFileProblem } from '../table-file/list-file.js';
import { t } from '../language/words.js';

export const listFileWords: Readonly<Record<ListFileProblem, string>> = {
  'too-large': t('listFiles.thisFileIsTooLarge'),
  'not-a-list': t('listFiles.thisFileCantBeRead'),
  'too-wide': t('listFiles.thisTableHasMoreThan'),
  empty: t('listFiles.thereIsNothingInThis'),
};

export const columnWords: Readonly<Record<ColumnRole, string>> = {
  what: t('listFiles.linkOrWords'),
  title: t('listFiles.title'),
  instruction: t('listFiles.whatToDo'),
  tags: t('listFiles.tags'),
  none: t('listFiles.notUsed'),
};
