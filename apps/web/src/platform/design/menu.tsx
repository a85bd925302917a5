import { DropdownMenu } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';

export interface MenuEntry {
  readonly label: string;
  readonly onSelect: () => void;
  readonly disabled?: boolean;
  readonly danger?: boolean;
}

/** A small menu behind a button. */
export function Menu({
  label,
  entries,
  children,
}: {
  readonly label: string;
  readonly entries: readonly MenuEntry[];
  readonly children: ReactNode;
}): ReactElement {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        className="inline-flex size-8 items-center justify-center rounded-small text-muted hover:bg-ink/5 hover:text-ink"
        aria-label={label}
      >
        {children}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          className="z-50 min-w-44 rounded-small border border-line bg-sheet p-1 shadow-float"
        >
          {entries.map((entry) => (
            <DropdownMenu.Item
              key={entry.label}
              disabled={entry.disabled ?? false}
              onSelect={entry.onSelect}
              className={`flex min-h-8 cursor-default items-center rounded-step px-2.5 text-body outline-none data-[disabled]:opacity-40 data-[highlighted]:bg-marker-soft ${entry.danger ? 'text-stop' : ''}`}
            >
              {entry.label}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
