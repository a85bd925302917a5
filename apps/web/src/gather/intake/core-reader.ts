/** The part of the core that reads pasted text, in a file of its own. */
export { bodyOf, guessColumns, prepareForDuplicates, readItem, readLink, readRow, splitPieces } from '@hapset/core';
