import {
  routes,
  type ChangeLook,
  type CreateLook,
  type LessonView,
  type LookChoice,
  type LookPictureView,
  type LookRules,
  type LooksView,
  type LookView,
} from '@hapset/contract';
import { queryOptions, useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';
import { sendOnly } from '../../gather/upload/upload-file.js';

export const looksQuery = queryOptions({
  queryKey: ['looks'],
  queryFn: ({ signal }): Promise<LooksView> => call(routes.looks, { signal }),
});

/** A look is on codes everywhere, so everything looks again. */
function useLookMutation<Input, Reply>(
  mutationFn: (request: Input) => Promise<Reply>,
): UseMutationResult<Reply, Error, Input> {
  const client = useQueryClient();
  return useMutation({ mutationFn, onSettled: () => client.invalidateQueries() });
}

/** @param before the look that is changed; null for a new one */
export function useKeepLook(before: LookView | null): UseMutationResult<LookView, Error, CreateLook> {
  return useLookMutation((request: CreateLook) =>
    before === null
      ? call(routes.createLook, { body: request })
      : call(routes.changeLook, {
          params: { lookId: before.id },
          body: { ...request, version: before.version } satisfies ChangeLook,
        }),
  );
}

export function useAllowLook(): UseMutationResult<
  LookView,
  Error,
  { readonly lookId: string; readonly allowed: boolean }
> {
  return useLookMutation(({ lookId, allowed }) => call(routes.allowLook, { params: { lookId }, body: { allowed } }));
}

export function useChangeLookRules(): UseMutationResult<LooksView, Error, LookRules> {
  return useLookMutation((body: LookRules) => call(routes.changeLookRules, { body }));
}

export function useChooseLessonLook(lessonId: string): UseMutationResult<LessonView, Error, LookChoice> {
  return useLookMutation((look: LookChoice) => call(routes.chooseLessonLook, { params: { lessonId }, body: { look } }));
}

/** Sends a picture and makes one for the middle of codes out of it. */
export function useAddLookPicture(): UseMutationResult<LookPictureView, Error, File> {
  return useMutation({
    mutationFn: async (file: File) =>
      call(routes.addLookPicture, { body: { uploadId: await sendOnly(file, () => undefined) } }),
  });
}
