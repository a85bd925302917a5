import { mendedColours, type LookDesign, type LookReason } from '@hapset/core';
import { useMemo, type ReactElement, type ReactNode } from 'react';
import { Button } from '../../platform/design/button.js';

/** The way out in one click, where there is one. */
export function MendLook({
  reason,
  design,
  onMend,
}: {
  readonly reason: LookReason;
  readonly design: LookDesign;
  readonly onMend: (part: Partial<LookDesign>) => void;
}): ReactElement | null {
  const mended = useMemo(() => mendedColours(design), [design]);
  if (reason === 'too-little-contrast' && mended) {
    return (
      <MendButton onClick={() => onMend(mended)}>
        Take the nearest colours that pass
        {[mended.ink, mended.inkTo, mended.ground].map(
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
      </MendButton>
    );
  }
  if (reason === 'light-on-dark')
    return (
      <MendButton onClick={() => onMend({ ink: design.ground, inkTo: null, ground: design.ink })}>
        Change the two colours for each other
      </MendButton>
    );
  if (design.centre && ['covers-patterns', 'beyond-repair', 'little-spare-repair'].includes(reason))
    return (
      <MendButton onClick={() => design.centre && onMend({ centre: { ...design.centre, side: null } })}>
        Take the largest that leaves half
      </MendButton>
    );
  return null;
}

function MendButton({
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
