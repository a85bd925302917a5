import type { LookView } from '@hapset/contract';
import type { Account } from '../../school/account/account.entity.js';
import type { Look } from './look.entity.js';

export function toLookView(
  { id, name, design, allowed, madeById, version }: Look,
  who: Account,
  uses: number,
): LookView {
  return { id, name, design, allowed, mayChange: madeById === who.id || who.role === 'administrator', uses, version };
}
