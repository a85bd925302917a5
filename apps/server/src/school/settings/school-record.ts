import type { School } from './school.entity.js';

/** The school and its settings, as the rest of the server sees them. */
export type SchoolRecord = Readonly<School>;
