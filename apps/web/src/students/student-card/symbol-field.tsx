import { useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { ChooseIcon } from '../../code/look/choose-icon.js';
import { t } from '../words.js';

/** A symbol on the card, that tells at a glance whose class it is. */
export function SymbolField({
  value,
  onChange,
}: {
  readonly value: string | null;
  readonly onChange: (symbol: string | null) => void;
}): ReactElement {
  const [open, setOpen] = useState(false);
  return (
    <div className="mt-1">
      <div className="flex flex-wrap items-center gap-2">
        <Button aria-expanded={open} onClick={() => setOpen(!open)}>
          {value === null ? t('symbolField.addASymbol') : t('symbolField.symbol', { name: value })}
        </Button>
        {value !== null && (
          <Button tone="quiet" onClick={() => onChange(null)}>
            {t('symbolField.none')}
          </Button>
        )}
      </div>
      {open && (
        <div className="mt-2">
          <ChooseIcon
            chosen={value}
            none={t('symbolField.noIconOfThatName')}
            onChoose={(icon) => {
              onChange(icon);
              setOpen(false);
            }}
          />
        </div>
      )}
    </div>
  );
}
