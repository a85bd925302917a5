import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { Dialog } from '../../platform/design/dialog.js';
import { cardHeightMm, cardWidthMm, keepPxPerMm } from './calibration.js';
import { RangeInput } from '../../platform/design/inputs.js';

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
    <Dialog
      title="Measure this screen"
      about="Lay a bank card, or any card of that size, on the outline and move the slider until both are of one size."
      wide
      onClose={onClose}
    >
      <div className="overflow-hidden">
        <div
          style={{ width: cardWidthMm * pxPerMm, height: cardHeightMm * pxPerMm }}
          className="flex items-end rounded-small border-2 border-dashed border-ink bg-marker-soft p-2 text-note text-muted"
        >
          85.6 × 54 mm
        </div>
      </div>
      <label className="mt-4 block text-row font-semibold">
        Size of the outline
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
        <Button onClick={onClose}>Cancel</Button>
        <Button
          tone="main"
          onClick={() => {
            keepPxPerMm(localStorage, pxPerMm);
            onKeep(pxPerMm);
          }}
        >
          They match
        </Button>
      </div>
    </Dialog>
  );
}
