import { HoverCard } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';
import { ViewPicture } from './view-picture.js';
import { t } from '../words.js';

/** Shows the picture of what a student sees, on hover and on keyboard focus. */
export function WithView({
  viewId,
  name,
  children,
}: {
  /** A check that has a picture; null for none. */
  readonly viewId: string | null;
  readonly name: string;
  readonly children: ReactNode;
}): ReactElement {
  if (viewId === null) return <>{children}</>;
  return (
    <HoverCard.Root openDelay={350} closeDelay={100}>
      <HoverCard.Trigger asChild>{children}</HoverCard.Trigger>
      <HoverCard.Portal>
        <HoverCard.Content side="right" sideOffset={6} collisionPadding={10} className="z-30 shadow-float">
          <ViewPicture
            checkId={viewId}
            words={t('withView.whatAStudentSeesAt', { name })}
            className="block h-auto w-44"
          />
        </HoverCard.Content>
      </HoverCard.Portal>
    </HoverCard.Root>
  );
}
