import type { LookView, MaterialPage } from '@hapset/contract';
import type { LookDesign } from '@hapset/core';
import { useNavigate } from 'react-router';
import { useKeepLook } from '../../code/look/look.queries.js';
import { useChangeMaterial } from '../../gather/material/material.queries.js';
import { ApiError } from '../../platform/api/problem-error.js';
import { useNotice } from '../../platform/design/notice.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { t } from '../words.js';

/** The code for which a look is designed, and where its page is. */
export interface DesignedFor {
  readonly page: MaterialPage;
  readonly address: string;
}

export interface KeepLook {
  readonly pending: boolean;
  readonly error: string | null;
  /** @param saved called once the server has it */
  readonly run: (request: { readonly name: string; readonly design: LookDesign }, saved: () => void) => void;
}

/** Keeps it, and gives it to the code for which it was designed. */
export function useKeepLookHere(before: LookView | null, from: DesignedFor | null): KeepLook {
  const keep = useKeepLook(before);
  const changeMaterial = useChangeMaterial(from?.page.material.id ?? '');
  const notice = useNotice();
  const navigate = useNavigate();
  const done = (words: string): void => {
    notice({ words });
    void navigate(from?.address ?? '/school/looks');
  };
  const run: KeepLook['run'] = (request, saved) =>
    keep.mutate(request, {
      onSuccess: ({ id, name }) => {
        saved();
        if (!from || from.page.look.id === id) return done(t('useKeepLookHere.saved', { name }));
        changeMaterial.mutate(
          { version: from.page.material.version, look: id },
          {
            onSuccess: () => done(t('useKeepLookHere.theCodeHasTheLook', { name })),
            onError: () => done(t('useKeepLookHere.savedChooseItOnThe', { name })),
          },
        );
      },
    });
  const error =
    keep.error instanceof ApiError && keep.error.reason === 'not-allowed'
      ? t('useKeepLookHere.atThisSchoolOnlyThe')
      : keep.error
        ? wordsFor(keep.error)
        : null;
  return { pending: keep.isPending || changeMaterial.isPending, error, run };
}
