/** What an address asks for: `?use=printing&format=png&dpi=600`. */
import { pictureDensities, pictureFormats, pictureUses, type PictureOptions } from '@hapset/contract';
import { ProblemError } from '../../platform/problem/problem.js';

/** What is left out is the picture for a document. @throws ProblemError invalid */
export function readPictureOptions({
  use = 'document',
  format = 'png',
  dpi = '300',
}: Readonly<Record<string, unknown>>): PictureOptions {
  return {
    use: oneOf(pictureUses, use, 'use'),
    format: oneOf(pictureFormats, format, 'format'),
    dpi: oneOf(pictureDensities, Number(dpi), 'dpi'),
  };
}

function oneOf<Value>(values: readonly Value[], given: unknown, field: string): Value {
  const found = values.find((value) => value === given);
  if (found === undefined)
    throw new ProblemError('invalid', `There is no such picture.`, {
      fields: [{ field, message: `must be one of ${values.join(', ')}` }],
    });
  return found;
}
