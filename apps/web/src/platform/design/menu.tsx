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

/** One of several, chosen in the menu. */
export interface MenuChoice {
  readonly label: string;
  readonly chosen: string;
  /** Names and labels. */
  readonly options: readonly (readonly [string, string])[];
  readonly onChoose: (name: string) => void;
}

/** A small menu behind a button. */
export function Menu({
  label,
  entries,
  choice,
  openAtFirst = false,
  className = 'inline-flex size-8 items-center justify-center rounded-small text-muted hover:bg-ink/5 hover:text-ink',
  children,
}: {
  readonly label: string;
  readonly entries: readonly MenuEntry[];
  /** Above the entries. */
  readonly choice?: MenuChoice;
  /** Where what opened it was another button in its place. */
  readonly openAtFirst?: boolean;
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
    <DropdownMenu.Root defaultOpen={openAtFirst}>
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
          {choice && <Choice {...choice} />}
          {entries.map((entry) => (
            <DropdownMenu.Item
              key={entry.label}
              asChild={entry.to !== undefined || entry.download !== undefined}
              disabled={entry.disabled ?? false}
              onSelect={() => (chosen.current = entry.onSelect ?? null)}
              className={`${entryLook} data-[disabled]:opacity-40 ${entry.danger ? 'text-stop' : 'text-ink'}`}
            >
              {entryContent(entry)}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

const entryLook =
  'flex min-h-8 cursor-default items-center rounded-step px-2.5 text-body no-underline outline-none data-[highlighted]:bg-marker-soft';

/** The menu stays open: what is chosen is seen at once. */
function Choice({ label, chosen, options, onChoose }: MenuChoice): ReactElement {
  return (
    <>
      <DropdownMenu.Label className="px-2.5 pt-1.5 text-note text-muted">{label}</DropdownMenu.Label>
      <DropdownMenu.RadioGroup value={chosen} onValueChange={onChoose}>
        {options.map(([name, words]) => (
          <DropdownMenu.RadioItem
            key={name}
            value={name}
            onSelect={(event) => event.preventDefault()}
            className={`${entryLook} gap-2 text-ink`}
          >
            <span className="flex size-3.5 items-center justify-center rounded-full border border-line-strong">
              <DropdownMenu.ItemIndicator className="size-2 rounded-full bg-ink" />
            </span>
            {words}
          </DropdownMenu.RadioItem>
        ))}
      </DropdownMenu.RadioGroup>
      <DropdownMenu.Separator className="my-1 h-px bg-line" />
    </>
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
