/** Something proves that students get the material. */
import type { Rule } from '../judgement.js';
import { findProofs } from '../proof.js';

/** Proven, with what proves it. */
export const open: Rule = { verdict: 'open', find: findProofs };
