import type english from '../../languages/en/opens.json';
import { elements } from '../platform/language/elements.js';

/** A text of this area that has elements in it. */
export const T = elements<typeof english>('opens');
