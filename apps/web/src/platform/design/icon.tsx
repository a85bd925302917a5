import type { IconNode } from 'lucide';
import { createElement, type ReactElement } from 'react';

export type { IconNode } from 'lucide';

/**
 * A picture beside words that say the same, so it is hidden from screen readers.
 * @param size of its square, px
 * @param strokeWidth in units of the icon's own grid of 24
 */
export function Icon({
  icon,
  size,
  strokeWidth = 2,
  className,
}: {
  readonly icon: IconNode;
  readonly size: number;
  readonly strokeWidth?: number;
  readonly className?: string;
}): ReactElement {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth={strokeWidth}
      strokeLinecap="round"
      strokeLinejoin="round"
      className={className}
      aria-hidden
    >
      {icon.map(([shape, attributes], index) => createElement(shape, { key: index, ...attributes }))}
    </svg>
  );
}
