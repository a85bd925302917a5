import {
  useId,
  type InputHTMLAttributes,
  type ReactElement,
  type ReactNode,
  type Ref,
  type SelectHTMLAttributes,
  type TextareaHTMLAttributes,
} from 'react';

const box =
  'w-full rounded-small border border-line-strong bg-sheet px-3 py-1.5 text-field min-h-9 placeholder:text-muted focus:border-ink';

interface FieldFrame {
  readonly label: string;
  readonly hint?: string;
  readonly problem?: string | undefined;
}

function Frame({
  label,
  hint,
  problem,
  id,
  children,
}: FieldFrame & { readonly id: string; readonly children: ReactNode }): ReactElement {
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="mb-1 block text-small font-semibold">
        {label}
      </label>
      {children}
      {hint && !problem && (
        <p id={`${id}-hint`} className="mt-1 mb-0 text-note text-muted">
          {hint}
        </p>
      )}
      {problem && (
        <p id={`${id}-problem`} role="alert" className="mt-1 mb-0 text-note font-semibold text-stop">
          {problem}
        </p>
      )}
    </div>
  );
}

function described(id: string, hint: string | undefined, problem: string | undefined): string | undefined {
  if (problem) return `${id}-problem`;
  return hint ? `${id}-hint` : undefined;
}

export function TextField({
  label,
  hint,
  problem,
  ...rest
}: FieldFrame & InputHTMLAttributes<HTMLInputElement> & { readonly ref?: Ref<HTMLInputElement> }): ReactElement {
  const id = useId();
  return (
    <Frame {...{ label, hint, problem, id }}>
      <input
        id={id}
        className={box}
        aria-invalid={problem !== undefined}
        aria-describedby={described(id, hint, problem)}
        {...rest}
      />
    </Frame>
  );
}

export function TextArea({
  label,
  hint,
  problem,
  ...rest
}: FieldFrame &
  TextareaHTMLAttributes<HTMLTextAreaElement> & { readonly ref?: Ref<HTMLTextAreaElement> }): ReactElement {
  const id = useId();
  return (
    <Frame {...{ label, hint, problem, id }}>
      <textarea
        id={id}
        className={box}
        aria-invalid={problem !== undefined}
        aria-describedby={described(id, hint, problem)}
        {...rest}
      />
    </Frame>
  );
}

export function SelectField({
  label,
  hint,
  problem,
  children,
  ...rest
}: FieldFrame & SelectHTMLAttributes<HTMLSelectElement> & { readonly ref?: Ref<HTMLSelectElement> }): ReactElement {
  const id = useId();
  return (
    <Frame {...{ label, hint, problem, id }}>
      <select
        id={id}
        className={box}
        aria-invalid={problem !== undefined}
        aria-describedby={described(id, hint, problem)}
        {...rest}
      >
        {children}
      </select>
    </Frame>
  );
}

/** A box to tick, with its words and, below, what it means. */
export function CheckField({
  label,
  hint,
  ...rest
}: { readonly label: string; readonly hint?: string } & InputHTMLAttributes<HTMLInputElement> & {
    readonly ref?: Ref<HTMLInputElement>;
  }): ReactElement {
  const id = useId();
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="flex min-h-8 cursor-pointer items-center gap-2 text-body">
        <input
          id={id}
          type="checkbox"
          className="size-4 shrink-0 accent-ink"
          aria-describedby={hint && `${id}-hint`}
          {...rest}
        />
        {label}
      </label>
      {hint && (
        <p id={`${id}-hint`} className="m-0 pl-6 text-note text-muted">
          {hint}
        </p>
      )}
    </div>
  );
}

/** One of a few in a line of tools: its label is heard, not seen. @param choices values with their words */
export function LineSelect({
  label,
  value,
  choices,
  onChoose,
}: {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly (readonly [value: string, words: string])[];
  readonly onChoose: (value: string) => unknown;
}): ReactElement {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => onChoose(event.target.value)}
      className="min-h-9 rounded-small border border-line-strong bg-sheet px-2 text-row"
    >
      {choices.map(([each, words]) => (
        <option key={each} value={each}>
          {words}
        </option>
      ))}
    </select>
  );
}

/** One of a few: a select whose choices have words in a table. */
export function ChoiceField<Choice extends string>({
  choices,
  words,
  ...rest
}: Omit<Parameters<typeof SelectField>[0], 'children'> & {
  readonly choices: readonly Choice[];
  readonly words: Readonly<Record<Choice, string>>;
}): ReactElement {
  return (
    <SelectField {...rest}>
      {choices.map((choice) => (
        <option key={choice} value={choice}>
          {words[choice]}
        </option>
      ))}
    </SelectField>
  );
}
