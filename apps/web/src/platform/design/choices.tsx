import { useId, type ReactElement, type ReactNode } from 'react';

interface Option<Value extends string> {
  readonly value: Value;
  readonly words: string;
  readonly swatch: ReactNode;
}

/** One of a few, each with a small picture of what it is. */
export function Choices<Value extends string>({
  legend,
  value,
  options,
  onChoose,
}: {
  readonly legend: string;
  readonly value: Value;
  readonly options: readonly Option<Value>[];
  readonly onChoose: (value: Value) => void;
}): ReactElement {
  const name = useId();
  return (
    <fieldset className="m-0 mt-1 border-0 p-0">
      <legend className="mb-1 text-small font-semibold">{legend}</legend>
      <div className="flex flex-wrap gap-2">
        {options.map((option) => (
          <label
            key={option.value}
            className={`flex min-w-[76px] cursor-pointer flex-col items-center gap-1 rounded-small border px-2 pt-2 pb-1 text-note focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-ink ${option.value === value ? 'border-marker-line bg-marker-soft font-semibold' : 'border-line hover:border-ink'}`}
          >
            <input
              type="radio"
              name={name}
              checked={option.value === value}
              onChange={() => onChoose(option.value)}
              className="sr-only"
            />
            {option.swatch}
            {option.words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
