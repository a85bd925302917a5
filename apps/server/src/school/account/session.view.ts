import type { SessionView } from '@hapset/contract';
import type { SignedIn } from '../rights/signed-in.js';

export function toSessionView({ id, name, email, role }: SignedIn): SessionView {
  return { accountId: id, name, email, role };
}
