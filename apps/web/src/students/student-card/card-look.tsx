/** What cards look like: their design, what the colour of the band tells, the school year and how long they are valid. */
import { cardBands, limits, type CardsRequest } from '@hapset/contract';
import { cardDesigns } from '@hapset/core';
import type { ReactElement } from 'react';
import { ChoiceField, TextField } from '../../platform/design/field.js';
import { cardBandWords, cardDesignWords } from '../../platform/wording/students.js';
import { t } from '../words.js';

export function CardLook({
  request: { design, band, schoolYear, validUntil },
  onChange,
}: {
  readonly request: CardsRequest;
  readonly onChange: (change: Partial<CardsRequest>) => void;
}): ReactElement {
  return (
    <div className="grid grid-cols-2 gap-3">
      <ChoiceField
        label={t('cardLook.design')}
        choices={cardDesigns}
        words={cardDesignWords}
        value={design}
        onChange={(event) => onChange({ design: event.target.value as CardsRequest['design'] })}
      />
      <ChoiceField
        label={t('cardLook.colour')}
        choices={cardBands}
        words={cardBandWords}
        value={band}
        onChange={(event) => onChange({ band: event.target.value as CardsRequest['band'] })}
      />
      <TextField
        label={t('cardLook.schoolYear')}
        value={schoolYear}
        maxLength={limits.schoolYearLength}
        placeholder="2026/27"
        onChange={(event) => onChange({ schoolYear: event.target.value })}
      />
      <TextField
        label={t('cardLook.validUntil')}
        type="date"
        value={validUntil ?? ''}
        onChange={(event) => onChange({ validUntil: event.target.value === '' ? null : event.target.value })}
      />
    </div>
  );
}
