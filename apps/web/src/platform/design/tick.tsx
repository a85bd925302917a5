import type { ReactElement } from 'react';

/** A box that is ticked, with its words. */
export function Tick({
  words,
  ticked,
  disabled = false,
  onTick,
}: {
  readonly words: string;
  readonly ticked: boolean;
  readonly disabled?: boolean;
  readonly onTick: (ticked: boolean) => void;
}): ReactElement {
  return (
    <label className="flex min-h-8 cursor-pointer items-center gap-2 text-row">
      <input
        type="checkbox"
        checked={ticked}
        disabled={disabled}
        onChange={(event) => onTick(event.target.checked)}
        className="size-4 shrink-0 accent-ink"
      />
      {words}
    </label>
  );
}
