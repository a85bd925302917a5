import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { cardHeightMm, cardWidthMm, keepPxPerMm } from './calibration.js';
import { RangeInput } from '../../platform/design/inputs.js';
import { t } from '../words.js';

/** A card is laid against the screen, and its outline drawn to match. */
export function Calibrate({
  begin,
  onKeep,
  onClose,
}: {
  readonly begin: number;
  readonly onKeep: (pxPerMm: number) => void;
  readonly onClose: () => void;
}): ReactElement {
  const [pxPerMm, setPxPerMm] = useState(begin);
  return (
    <Dialog title={t('calibrate.measureThisScreen')} about={t('calibrate.holdABankCardAgainst')} wide onClose={onClose}>
      <div className="overflow-hidden">
        <div
          style={{ width: cardWidthMm * pxPerMm, height: cardHeightMm * pxPerMm }}
          className="flex items-end rounded-small border-2 border-dashed border-ink bg-marker-soft p-2 text-note text-muted"
        >
          {t('calibrate.n85654Mm')}
        </div>
      </div>
      <label className="mt-4 block text-row font-semibold">
        {t('calibrate.sizeOfTheOutline')}
        <RangeInput
          min={2}
          max={8}
          step={0.02}
          value={pxPerMm}
          onChange={(event) => setPxPerMm(Number(event.target.value))}
          className="mt-2 block w-full"
        />
      </label>
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={onClose}>{t('calibrate.cancel')}</Button>
        <Button
          tone="main"
          onClick={() => {
            keepPxPerMm(localStorage, pxPerMm);
            onKeep(pxPerMm);
          }}
        >
          {t('calibrate.theyMatch')}
        </Button>
      </div>
    </Dialog>
  );
}
