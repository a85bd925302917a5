import { paperNames, type PaperFormat } from '@hapset/core';
import type { ReactElement } from 'react';
import { ChoiceField } from '../../platform/design/field.js';
import { paperWords } from '../../platform/wording/sheets.js';
import { t } from '../words.js';

/** Chooses the paper to print on. */
export function PaperField({
  value,
  onChoose,
}: {
  readonly value: PaperFormat;
  readonly onChoose: (paper: PaperFormat) => void;
}): ReactElement {
  return (
    <ChoiceField
      label={t('paperField.paper')}
      choices={paperNames}
      words={paperWords}
      value={value}
      onChange={(event) => onChoose(event.target.value as PaperFormat)}
    />
  );
}
