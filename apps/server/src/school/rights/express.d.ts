import type { SignedIn } from './signed-in.js';
import type { SignedIn } from './signed-in.js';

declare module 'express-serve-static-core' {
  interface Request {
    /** Set by the ownership guard on staff routes. */
    who?: SignedIn;
  }
}
