import type { Account } from '../account/account.entity.js';

declare module 'express-serve-static-core' {
  interface Request {
    /** Set by the ownership guard on staff routes. */
    who?: Account;
  }
}
