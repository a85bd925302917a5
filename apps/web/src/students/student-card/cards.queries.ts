import {
  routes,
  type CardReadingsPage,
  type CardsPreview,
  type CardsWish,
  type PrintView,
  type ReadCardView,
} from '@hapset/contract';
import {
  keepPreviousData,
  queryOptions,
  useMutation,
  useQueryClient,
  type UseMutationResult,
} from '@tanstack/react-query';
import { call } from '../../platform/api/client.js';
import { studentKeys } from '../student/roster.queries.js';

const cardKeys = {
  preview: (wish: CardsWish, page: number) => ['cards', 'preview', wish, page],
  readings: ['cards', 'readings'],
} as const;

export const cardsPreviewQuery = (wish: CardsWish, page: number) =>
  queryOptions({
    queryKey: cardKeys.preview(wish, page),
    queryFn: ({ signal }): Promise<CardsPreview> => call(routes.previewCards, { body: { wish, page }, signal }),
    placeholderData: keepPreviousData,
    retry: false,
  });

export function useMakeCards(): UseMutationResult<PrintView, Error, CardsWish> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (wish: CardsWish) => call(routes.makeCards, { body: { wish } }),
    onSettled: () =>
      Promise.all([
        client.invalidateQueries({ queryKey: ['sheets', 'prints'] }),
        client.invalidateQueries({ queryKey: studentKeys.all }),
      ]),
  });
}

export const cardReadingsQuery = queryOptions({
  queryKey: cardKeys.readings,
  queryFn: ({ signal }): Promise<CardReadingsPage> => call(routes.cardReadings, { signal }),
});

export function useReadCard(): UseMutationResult<ReadCardView, Error, string> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (text: string) => call(routes.readCard, { body: { text } }),
    onSettled: () => client.invalidateQueries({ queryKey: cardKeys.readings }),
  });
}

export function useRemoveReading(): UseMutationResult<null, Error, string> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (cardReadingId: string) => call(routes.removeCardReading, { params: { cardReadingId } }),
    onSettled: () => client.invalidateQueries({ queryKey: cardKeys.readings }),
  });
}
