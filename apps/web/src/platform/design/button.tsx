import type { ButtonHTMLAttributes, ReactElement, Ref } from 'react';

export type ButtonTone = 'main' | 'plain' | 'quiet';

const tones: Readonly<Record<ButtonTone, string>> = {
  main: 'bg-ink text-sheet border-ink hover:bg-ink/90',
  plain: 'bg-sheet text-ink border-line-strong hover:border-ink',
  quiet: 'bg-transparent text-ink border-transparent hover:bg-ink/5',
};

/** The classes of a button, for links that look like one. */
export function buttonClass(tone: ButtonTone = 'plain', more = ''): string {
  return `inline-flex min-h-9 items-center justify-center gap-2 rounded-small border px-3.5 py-1.5 text-body font-semibold whitespace-nowrap no-underline disabled:opacity-50 ${tones[tone]} ${more}`;
}

/** `tone` main: the one main action of a page, ink reversed. */
export function Button({
  tone = 'plain',
  className = '',
  type = 'button',
  ref,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & {
  readonly tone?: ButtonTone;
  readonly ref?: Ref<HTMLButtonElement>;
}): ReactElement {
  return <button ref={ref} type={type} className={buttonClass(tone, className)} {...rest} />;
}

/** A small action in a line of text. */
export function TextButton({
  className = 'px-1',
  ...rest
}: Omit<ButtonHTMLAttributes<HTMLButtonElement>, 'type'>): ReactElement {
  return (
    <button
      type="button"
      className={`min-h-8 shrink-0 font-semibold whitespace-nowrap text-ink underline ${className}`}
      {...rest}
    />
  );
}
