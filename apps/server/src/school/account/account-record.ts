import type { Account } from './account.entity.js';

/** An account, as others may read it. */
export type AccountRecord = Readonly<Account>;
