/** The first screen of a page, as a student's phone shows it. */
import { fillPath, routes } from '@hapset/contract';
import type { ReactElement } from 'react';

/** @param checkId a check that has a picture. @param words what it shows, for those who don't see it */
export function ViewPicture({
  checkId,
  words,
  className,
}: {
  readonly checkId: string;
  readonly words: string;
  readonly className: string;
}): ReactElement {
  return (
    <img
      src={fillPath(routes.studentView.path, { accessCheckId: checkId })}
      alt={words}
      width={390}
      height={844}
      loading="lazy"
      className={`rounded-small border border-line-strong bg-print ${className}`}
    />
  );
}
