import type { ReactElement } from 'react';

/** A word that opens the device's chooser. On a phone it offers the camera as well. */
export function ChooseFile({
  label,
  accept,
  wide = false,
  onChoose,
}: {
  readonly label: string;
  readonly accept?: string;
  /** A large target over the whole width, where choosing is the first step. */
  readonly wide?: boolean;
  readonly onChoose: (file: File) => void;
}): ReactElement {
  return (
    <ChooseFiles
      label={label}
      wide={wide}
      {...(accept !== undefined && { accept })}
      onChoose={([chosen]) => {
        if (chosen) onChoose(chosen);
      }}
    />
  );
}

const word =
  'flex min-h-9 cursor-pointer items-center rounded-small px-1 text-row font-semibold text-ink/80 underline focus-within:outline-2 hover:text-ink';
const target =
  'flex min-h-11 cursor-pointer items-center justify-center rounded-small border border-dashed border-line-strong px-3 text-body font-semibold focus-within:outline-2';

export function ChooseFiles({
  label,
  wide = false,
  folder = false,
  onChoose,
  ...rest
}: {
  readonly label: string;
  readonly accept?: string;
  readonly multiple?: boolean;
  /** All files of a folder, with those in it. */
  readonly folder?: boolean;
  readonly wide?: boolean;
  readonly onChoose: (files: readonly File[]) => void;
}): ReactElement {
  return (
    <label className={wide ? target : word}>
      {label}
      <input
        type="file"
        className="sr-only"
        onChange={(event) => {
          const chosen = [...(event.target.files ?? [])];
          event.target.value = '';
          onChoose(chosen);
        }}
        {...(folder && { webkitdirectory: '' })}
        {...rest}
      />
    </label>
  );
}
