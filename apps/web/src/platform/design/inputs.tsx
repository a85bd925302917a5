/** The controls themselves, for lines, cells and toolbars. What has a label above it is in field.tsx. */
import type { ComponentProps, ReactElement } from 'react';

const box = 'rounded-small border border-line-strong bg-sheet focus:border-ink';

/** A box to be ticked; its words are beside it. */
export function CheckBox({ className = '', ...rest }: Omit<ComponentProps<'input'>, 'type'>): ReactElement {
  return <input type="checkbox" className={`size-4 shrink-0 accent-ink ${className}`} {...rest} />;
}

/** One of a few, its words beside it. */
export function RadioButton({ className = '', ...rest }: Omit<ComponentProps<'input'>, 'type'>): ReactElement {
  return <input type="radio" className={`size-4 shrink-0 accent-ink ${className}`} {...rest} />;
}

/** A slider without words; `Slider` has some. */
export function RangeInput({ className = '', ...rest }: Omit<ComponentProps<'input'>, 'type'>): ReactElement {
  return <input type="range" className={`accent-ink ${className}`} {...rest} />;
}

export function ColourInput({ className = '', ...rest }: Omit<ComponentProps<'input'>, 'type'>): ReactElement {
  return <input type="color" className={`h-9 w-11 cursor-pointer p-1 ${box} ${className}`} {...rest} />;
}

/** One line of text. @param className its width and the size of its letters */
export function LineInput({ className = 'text-body', ...rest }: ComponentProps<'input'>): ReactElement {
  return <input className={`min-h-9 px-3 placeholder:text-muted ${box} ${className}`} {...rest} />;
}

/** Finds in a list while one types. */
export function SearchInput({
  label,
  onFind,
  ...rest
}: Omit<ComponentProps<'input'>, 'type' | 'onChange' | 'className'> & {
  readonly label: string;
  readonly onFind: (find: string) => void;
}): ReactElement {
  return (
    <LineInput
      type="search"
      aria-label={label}
      placeholder={label}
      onChange={(event) => onFind(event.target.value)}
      className="w-[min(320px,86vw)] text-field"
      {...rest}
    />
  );
}

/** A name that is changed where it is: a field once one points at it. @param className its place and the size of its letters */
export function NameInput({ className = '', onKeyDown, ...rest }: ComponentProps<'input'>): ReactElement {
  return (
    <input
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        onKeyDown?.(event);
      }}
      className={`-ml-2 w-full rounded-small border border-transparent bg-transparent px-2 font-semibold hover:border-line-strong focus:border-ink focus:bg-sheet ${className}`}
      {...rest}
    />
  );
}

/** Choices in a line. @param marked stands out, since something was chosen @param className its width and the weight of its letters */
export function SelectInput({
  marked = false,
  className = 'text-row',
  ...rest
}: ComponentProps<'select'> & { readonly marked?: boolean }): ReactElement {
  const look = marked ? 'rounded-small border border-marker-line bg-marker-soft' : box;
  return <select className={`min-h-9 px-2 ${look} ${className}`} {...rest} />;
}

/** A choice that stands in a text, as a word of it. */
export function WordSelect(props: ComponentProps<'select'>): ReactElement {
  return (
    <select
      className="-ml-1 min-h-8 rounded-small bg-transparent px-1 text-note font-semibold text-ink/80 hover:bg-ink/5"
      {...props}
    />
  );
}

/** Text that grows with what is written, in a box of somebody else's. */
export function GrowingArea(props: ComponentProps<'textarea'>): ReactElement {
  return (
    <textarea
      className="max-h-52 min-h-9 min-w-52 flex-1 resize-none bg-transparent [field-sizing:content] py-1.5 text-field outline-none placeholder:text-muted"
      {...props}
    />
  );
}

/** Where cells are pasted; it never holds any. */
export function PasteArea(props: ComponentProps<'textarea'>): ReactElement {
  return (
    <textarea
      rows={1}
      value=""
      onChange={() => undefined}
      className={`min-h-9 w-40 resize-none px-3 py-1.5 text-field placeholder:text-muted ${box}`}
      {...props}
    />
  );
}

/** For the browser's list of passwords: whose the password beside it is. */
export function AccountHint({ email }: { readonly email: string }): ReactElement {
  return <input type="hidden" autoComplete="username" value={email} readOnly />;
}
