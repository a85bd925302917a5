import {
  limits,
  routes,
  type LinkCheckView,
  type ShortLinkDetails,
  type ShortLinkFilter,
  type ShortLinksPage,
} from '@hapset/contract';
import type { Opening } from '@hapset/core';
import {
  infiniteQueryOptions,
  keepPreviousData,
  queryOptions,
  useMutation,
  useQueryClient,
  type UseMutationResult,
} from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';
import { materialKeys } from '../../gather/material/material.keys.js';

/** Under the materials' keys: what changes one of them changes its short link. */
export const shortLinkKeys = {
  list: (find: string, filter: ShortLinkFilter) => [...materialKeys.all, 'short-links', find, filter] as const,
  details: (materialId: string) => [...materialKeys.all, 'short-link', materialId] as const,
};

export const shortLinksQuery = (find: string, filter: ShortLinkFilter) =>
  infiniteQueryOptions({
    queryKey: shortLinkKeys.list(find, filter),
    queryFn: ({ signal, pageParam }): Promise<ShortLinksPage> =>
      call(routes.shortLinks, { signal, query: { find, filter, after: pageParam } }),
    initialPageParam: null as string | null,
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
  });

export const shortLinkQuery = (materialId: string) =>
  queryOptions({
    queryKey: shortLinkKeys.details(materialId),
    queryFn: ({ signal }): Promise<ShortLinkDetails> => call(routes.shortLink, { params: { materialId }, signal }),
  });

export function useChangeOpening(materialId: string): UseMutationResult<ShortLinkDetails, Error, Opening> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (opening: Opening) => call(routes.changeShortLink, { params: { materialId }, body: { opening } }),
    onSettled: () => client.invalidateQueries({ queryKey: materialKeys.all }),
  });
}

/** New codes carry a longer one; the one before still leads to the same. */
export function useReplaceShortLink(): UseMutationResult<ShortLinkDetails, Error, string> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (materialId: string) => call(routes.replaceShortLink, { params: { materialId } }),
    onSettled: () => client.invalidateQueries({ queryKey: materialKeys.all }),
  });
}

const lookMs = 400;
const patienceMs = 60_000;

/** Opens any link as a student would, and waits for the verdict. Null where it did not come in time. */
export function useTryLink(): UseMutationResult<LinkCheckView | null, Error, string> {
  return useMutation({
    mutationFn: async (link: string) => {
      const { id } = await call(routes.askLinkCheck, { body: { link: link.slice(0, limits.linkLength) } });
      for (const until = Date.now() + patienceMs; Date.now() < until;) {
        const check = await call(routes.linkCheck, { params: { linkCheckId: id } });
        if (check.state === 'done') return check;
        await new Promise((resolve) => setTimeout(resolve, lookMs));
      }
      return null;
    },
  });
}
