import type { ReactElement } from 'react';

/** A word that opens the device's chooser. On a phone it offers the camera as well. */
export function ChooseFile({
  label,
  accept,
  onChoose,
}: {
  readonly label: string;
  readonly accept?: string;
  readonly onChoose: (file: File) => void;
}): ReactElement {
  return (
    <ChooseFiles
      label={label}
      {...(accept !== undefined && { accept })}
      onChoose={([chosen]) => {
        if (chosen) onChoose(chosen);
      }}
    />
  );
}

export function ChooseFiles({
  label,
  onChoose,
  ...rest
}: {
  readonly label: string;
  readonly accept?: string;
  readonly multiple?: boolean;
  readonly onChoose: (files: readonly File[]) => void;
}): ReactElement {
  return (
    <label className="flex min-h-9 cursor-pointer items-center rounded-small px-1 text-row font-semibold text-ink/80 underline focus-within:outline-2 hover:text-ink">
      {label}
      <input
        type="file"
        className="sr-only"
        onChange={(event) => {
          const chosen = [...(event.target.files ?? [])];
          event.target.value = '';
          onChoose(chosen);
        }}
        {...rest}
      />
    </label>
  );
}
