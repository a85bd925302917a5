/** Buttons of the editor's tools. Pressing one leaves the selection where it is. */
import type { ReactElement } from 'react';
import { Icon, type IconNode } from '../../platform/design/icon.js';

/** A tool with an icon. */
export function Tool({
  label,
  icon,
  onRun,
  pressed,
  disabled = false,
}: {
  readonly label: string;
  readonly icon: IconNode;
  readonly onRun: () => unknown;
  readonly pressed?: boolean | undefined;
  readonly disabled?: boolean;
}): ReactElement {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      aria-pressed={pressed}
      disabled={disabled}
      onMouseDown={(event) => event.preventDefault()}
      onClick={onRun}
      className={`inline-flex size-9 items-center justify-center rounded-small disabled:opacity-35 ${pressed ? 'bg-marker-soft outline-1 outline-marker-line' : 'hover:bg-ink/5'}`}
    >
      <Icon icon={icon} size={17} />
    </button>
  );
}

/** A tool that is a word; its label says what it does. */
export function Word({
  label,
  onRun,
  children,
}: {
  readonly label: string;
  readonly onRun: () => unknown;
  readonly children: string;
}): ReactElement {
  return (
    <button
      type="button"
      aria-label={label}
      onMouseDown={(event) => event.preventDefault()}
      onClick={onRun}
      className="min-h-9 rounded-small px-2 text-small font-semibold hover:bg-ink/5"
    >
      + {children}
    </button>
  );
}
