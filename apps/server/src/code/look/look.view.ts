import type { LookView } from '@hapset/contract';
import type { Look } from './look.entity.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

export function toLookView(
  { id, name, design, allowed, madeById, version }: Look,
  who: SignedIn,
  uses: number,
): LookView {
  return { id, name, design, allowed, mayChange: madeById === who.id || who.role === 'administrator', uses, version };
}
