/** Names and sentences in bodies: one way to write them, so that none is stored that nobody can see. */
import { applyDecorators } from '@nestjs/common';
import { Transform } from 'class-transformer';
import { IsString, MaxLength, MinLength } from 'class-validator';

/** White space, control characters, and what Unicode draws as nothing (UAX #44, Default_Ignorable_Code_Point). */
const unseen = /^[\s\p{Cc}\p{Default_Ignorable_Code_Point}\u2800]*$/u;

/** In NFC, without white space around it; '' where nothing of it can be seen. */
export function tidyText(text: string): string {
  return unseen.test(text) ? '' : text.normalize('NFC').trim();
}

/** A text that can be seen, stored tidied. @param most characters */
export function IsText(most: number): PropertyDecorator {
  return applyDecorators(
    Transform(({ value }: { readonly value: unknown }) => (typeof value === 'string' ? tidyText(value) : value)),
    IsString(),
    MinLength(1),
    MaxLength(most),
  );
}
