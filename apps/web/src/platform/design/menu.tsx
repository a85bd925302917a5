import { DropdownMenu } from 'radix-ui';
import { useRef, type ReactElement, type ReactNode } from 'react';
import { Link } from 'react-router';

export interface MenuEntry {
  readonly label: string;
  /** What it does, or where it leads. */
  readonly onSelect?: () => void;
  readonly to?: string;
  /** Of a file that is saved. */
  readonly download?: string;
  readonly disabled?: boolean;
  readonly danger?: boolean;
}

/** A small menu behind a button. */
export function Menu({
  label,
  entries,
  className = 'inline-flex size-8 items-center justify-center rounded-small text-muted hover:bg-ink/5 hover:text-ink',
  children,
}: {
  readonly label: string;
  readonly entries: readonly MenuEntry[];
  readonly className?: string;
  readonly children: ReactNode;
}): ReactElement {
  const chosen = useRef<(() => void) | null>(null);
  // Once the focus is back on the button: what is chosen may open a field that takes it, and an open menu would take it back.
  const afterClosing = (): void => {
    const act = chosen.current;
    chosen.current = null;
    if (act) queueMicrotask(act);
  };
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className={className} aria-label={label}>
        {children}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          onCloseAutoFocus={afterClosing}
          sideOffset={4}
          collisionPadding={12}
          className="z-50 min-w-44 rounded-small border border-line bg-sheet p-1 shadow-float"
        >
          {entries.map((entry) => (
            <DropdownMenu.Item
              key={entry.label}
              asChild={entry.to !== undefined || entry.download !== undefined}
              disabled={entry.disabled ?? false}
              onSelect={() => (chosen.current = entry.onSelect ?? null)}
              className={`flex min-h-8 cursor-default items-center rounded-step px-2.5 text-body text-ink no-underline outline-none data-[disabled]:opacity-40 data-[highlighted]:bg-marker-soft ${entry.danger ? 'text-stop' : ''}`}
            >
              {entryContent(entry)}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function entryContent({ label, to, download }: MenuEntry): ReactNode {
  if (to !== undefined) return <Link to={to}>{label}</Link>;
  return download === undefined ? (
    label
  ) : (
    <a href={download} download>
      {label}
    </a>
  );
}
