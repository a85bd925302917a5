import {
  routes,
  type CardReadingsPage,
  type CardsPreview,
  type CardsRequest,
  type PrintView,
  type ReadCard,
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
  preview: (request: CardsRequest, page: number) => ['cards', 'preview', request, page],
  readings: ['cards', 'readings'],
} as const;

export const cardsPreviewQuery = (request: CardsRequest, page: number) =>
  queryOptions({
    queryKey: cardKeys.preview(request, page),
    queryFn: ({ signal }): Promise<CardsPreview> => call(routes.previewCards, { body: { request, page }, signal }),
    placeholderData: keepPreviousData,
    retry: false,
  });

export function useMakeCards(): UseMutationResult<PrintView, Error, CardsRequest> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (request: CardsRequest) => call(routes.makeCards, { body: { request } }),
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

export function useReadCard(): UseMutationResult<ReadCardView, Error, ReadCard> {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: ReadCard) => call(routes.readCard, { body }),
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
