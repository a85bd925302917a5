/** A photo as it will be on the card, and where it is cut: in its middle, or as somebody moves it. */
import { useEffect, useRef, type ReactElement } from 'react';
import { RangeInput } from '../../platform/design/inputs.js';
import { t } from '../words.js';

export function PhotoCut({
  picture,
  name,
  at,
  onMove,
  onBroken,
}: {
  readonly picture: Blob;
  readonly name: string;
  /** From 0 to 1. */
  readonly at: number;
  /** Null once it is added. */
  readonly onMove: ((at: number) => void) | null;
  readonly onBroken: () => void;
}): ReactElement {
  const image = useRef<HTMLImageElement>(null);
  useEffect(() => {
    const address = URL.createObjectURL(picture);
    if (image.current) image.current.src = address;
    return () => URL.revokeObjectURL(address);
  }, [picture]);
  return (
    <span className="flex w-20 shrink-0 flex-col gap-1">
      <img
        ref={image}
        alt={t('photos.photoOf', { name })}
        onError={onBroken}
        className="h-25 w-20 rounded-small border border-line object-cover"
        style={{ objectPosition: `${at * 100}% ${at * 100}%` }}
      />
      {onMove && (
        <RangeInput
          aria-label={t('photos.move', { name })}
          min={0}
          max={100}
          value={Math.round(at * 100)}
          onChange={(event) => onMove(Number(event.target.value) / 100)}
          className="w-20"
        />
      )}
    </span>
  );
}
