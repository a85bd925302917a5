import { passingColours, type LookDesign, type LookReason } from '@hapset/core';
import { useMemo, type ReactElement, type ReactNode } from 'react';
import { Button } from '../../platform/design/button.js';
import { t } from '../words.js';

/** The way out in one click, where there is one. */
export function FixLook({
  reason,
  design,
  onFix,
}: {
  readonly reason: LookReason;
  readonly design: LookDesign;
  readonly onFix: (part: Partial<LookDesign>) => void;
}): ReactElement | null {
  const passing = useMemo(() => passingColours(design), [design]);
  if (reason === 'too-little-contrast' && passing) {
    return (
      <FixButton onClick={() => onFix(passing)}>
        {t('fixLook.useTheNearestColoursThat')}
        {[passing.ink, passing.inkTo, passing.ground].map(
          (colour, index) =>
            colour !== null && (
              <span
                key={index}
                aria-hidden
                className="size-4 shrink-0 rounded-full border border-line-strong"
                style={{ background: colour }}
              />
            ),
        )}
      </FixButton>
    );
  }
  if (reason === 'light-on-dark')
    return (
      <FixButton onClick={() => onFix({ ink: design.ground, inkTo: null, ground: design.ink })}>
        {t('fixLook.swapTheTwoColours')}
      </FixButton>
    );
  if (design.centre && ['covers-patterns', 'beyond-repair', 'little-spare-repair'].includes(reason))
    return (
      <FixButton onClick={() => design.centre && onFix({ centre: { ...design.centre, side: null } })}>
        {t('fixLook.useTheLargestSizeThat')}
      </FixButton>
    );
  return null;
}

function FixButton({
  onClick,
  children,
}: {
  readonly onClick: () => void;
  readonly children: ReactNode;
}): ReactElement {
  return (
    <span className="mt-1.5 block">
      <Button onClick={onClick} className="max-w-full text-left !whitespace-normal">
        {children}
      </Button>
    </span>
  );
}
