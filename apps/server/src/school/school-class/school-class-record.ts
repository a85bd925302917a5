import type { SchoolClass } from './school-class.entity.js';

/** A class as the rest of the server sees it. */
export type SchoolClassRecord = Readonly<SchoolClass>;
