import { Slider as Primitive } from 'radix-ui';
import { useId, type ReactElement } from 'react';

interface Props {
  readonly label: string;
  /** The value in words, beside the label and for who does not see it. */
  readonly words: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly onChange: (value: number) => void;
}

/** A value on a line, with what it is now in words. */
export function Slider({ label, words, value, min, max, step, onChange }: Props): ReactElement {
  const id = useId();
  return (
    <div className="min-w-0">
      <div className="flex items-baseline justify-between gap-3 text-small">
        <span id={id} className="font-semibold">
          {label}
        </span>
        <span className="text-muted">{words}</span>
      </div>
      <Primitive.Root
        className="relative flex h-8 touch-none items-center"
        min={min}
        max={max}
        step={step}
        value={[value]}
        onValueChange={([next = value]) => onChange(next)}
      >
        <Primitive.Track className="relative h-1.5 grow rounded-full bg-line-strong">
          <Primitive.Range className="absolute h-full rounded-full bg-ink" />
        </Primitive.Track>
        <Primitive.Thumb
          aria-labelledby={id}
          aria-valuetext={words}
          className="block size-5 rounded-full border-2 border-ink bg-sheet focus-visible:outline-2 focus-visible:outline-offset-2"
        />
      </Primitive.Root>
    </div>
  );
}
