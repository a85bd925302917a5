import type { AccessCheck } from './access-check.entity.js';

/** An access check as the rest of the server sees it. */
export type AccessCheckRecord = Readonly<Omit<AccessCheck, 'askedBy' | 'material'>>;
