/** A sheet of labels by its figures, and the first label that is still on it. */
import type { SheetChoices } from '@hapset/contract';
import { isSameLabelSheet, labelSheets, type LabelGrid, type PaperFormat } from '@hapset/core';
import { useState, type ReactElement } from 'react';
import { SelectField, TextField } from '../../platform/design/field.js';
import { t } from '../words.js';

interface Props {
  readonly paper: PaperFormat;
  readonly labels: LabelGrid;
  readonly startAt: number;
  readonly onChange: (change: Pick<SheetChoices, 'labels'> | Pick<SheetChoices, 'startAt'>) => void;
}

const figures: readonly (readonly [keyof LabelGrid, string, boolean])[] = [
  ['columns', t('labelFields.columns'), true],
  ['rows', t('labelFields.rows'), true],
  ['widthMm', t('labelFields.labelWidthMm'), false],
  ['heightMm', t('labelFields.labelHeightMm'), false],
  ['leftMm', t('labelFields.leftMarginMm'), false],
  ['topMm', t('labelFields.topMarginMm'), false],
  ['pitchXMm', t('labelFields.horizontalPitchMm'), false],
  ['pitchYMm', t('labelFields.verticalPitchMm'), false],
];

export function LabelFields({ paper, labels, startAt, onChange }: Props): ReactElement {
  const cells = labels.columns * labels.rows;
  const sheets = labelSheets(paper);
  const chosen = sheets.findIndex((sheet) => isSameLabelSheet(sheet, labels));
  return (
    <fieldset className="m-0 border-0 p-0">
      <legend className="mb-1 text-small font-semibold">{t('labelFields.theLabelSheet')}</legend>
      <SelectField
        label={t('labelFields.size')}
        value={chosen}
        onChange={(event) => {
          const sheet = sheets[Number(event.target.value)];
          if (sheet) onChange({ labels: sheet });
        }}
      >
        <option value={-1}>{t('labelFields.ownFigures')}</option>
        {sheets.map((sheet, index) => (
          <option key={sheet.columns * sheet.rows} value={index}>
            {t('labelFields.labelsOfSize', {
              count: sheet.columns * sheet.rows,
              widthMm: sheet.widthMm,
              heightMm: sheet.heightMm,
            })}
          </option>
        ))}
      </SelectField>
      <div className="mt-2 grid grid-cols-2 gap-x-3 gap-y-2">
        {figures.map(([name, words, whole]) => (
          <Figure
            key={name}
            words={words}
            value={labels[name]}
            whole={whole}
            onChange={(value) => onChange({ labels: { ...labels, [name]: value } })}
          />
        ))}
        <Figure
          words={t('labelFields.firstFreeLabel1To', { cells })}
          value={startAt + 1}
          whole
          onChange={(value) => onChange({ startAt: Math.min(Math.max(1, value), cells) - 1 })}
        />
      </div>
      <p className="mt-1 mb-0 text-note text-muted">{t('labelFields.pitchIsTheDistanceFrom')}</p>
    </fieldset>
  );
}

/** Keeps what is typed while it is no figure yet. */
function Figure({
  words,
  value,
  whole,
  onChange,
}: {
  readonly words: string;
  readonly value: number;
  readonly whole: boolean;
  readonly onChange: (value: number) => void;
}): ReactElement {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <TextField
      label={words}
      inputMode={whole ? 'numeric' : 'decimal'}
      value={typed ?? value}
      onBlur={() => setTyped(null)}
      onChange={(event) => {
        setTyped(event.target.value);
        // As people write it: with a comma or a point.
        const next = Number(event.target.value.replace(',', '.'));
        if (event.target.value.trim() !== '' && Number.isFinite(next) && next >= (whole ? 1 : 0))
          onChange(whole ? Math.round(next) : next);
      }}
    />
  );
}
