import type { DraftPlace } from '../../platform/draft/use-draft.js';
import { useSession } from './session.queries.js';

/** Where the signed-in person's drafts of that place are. */
export function useOwnPlace(place: string): DraftPlace {
  return { accountId: useSession()?.accountId, place };
}
