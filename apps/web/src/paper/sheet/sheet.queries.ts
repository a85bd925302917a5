import {
  routes,
  type CreateSheetTemplate,
  type ChangeSheetTemplate,
  type MakePrint,
  type MakeSheet,
  type PreviewSheets,
  type PrintOrigin,
  type PrintsPage,
  type PrintView,
  type SheetsPreview,
  type SheetTemplateView,
  type SheetView,
} from '@hapset/contract';
import {
  infiniteQueryOptions,
  keepPreviousData,
  queryOptions,
  useMutation,
  useQueryClient,
  type UseMutationResult,
} from '@tanstack/react-query';
import { addressOf, call } from '../../platform/api/client.js';
import { routeFor, type PlaceId } from '../../gather/material/place-id.js';
import { useMaterialsChanged } from '../../platform/api/materials-changed.js';

/** How often to look while pages are drawn, ms. */
const whileDrawingMs = 500;

const sheetKeys = {
  all: ['sheets'],
  preview: (request: PreviewSheets) => ['sheets', 'preview', request],
  prints: ['sheets', 'prints'],
  print: (printId: string) => ['sheets', 'prints', printId] as const,
  origin: (printId: string) => ['sheets', 'origin', printId] as const,
  templates: ['sheet-templates'],
} as const;

/** The page before stays in sight until the next one is there. */
export const previewQuery = (request: PreviewSheets) =>
  queryOptions({
    queryKey: sheetKeys.preview(request),
    queryFn: ({ signal }): Promise<SheetsPreview> => call(routes.previewSheets, { body: request, signal }),
    placeholderData: keepPreviousData,
    retry: false,
  });

export const printsQuery = infiniteQueryOptions({
  queryKey: sheetKeys.prints,
  queryFn: ({ signal, pageParam }): Promise<PrintsPage> => call(routes.prints, { signal, query: { after: pageParam } }),
  initialPageParam: null as string | null,
  getNextPageParam: (page) => page.next,
  refetchInterval: (query) =>
    query.state.data?.pages.some(({ rows }) => rows.some(({ state }) => state === 'drawing')) ? whileDrawingMs : false,
});

export const printQuery = (printId: string) =>
  queryOptions({
    queryKey: sheetKeys.print(printId),
    queryFn: ({ signal }): Promise<PrintView> => call(routes.print, { params: { printId }, signal }),
    refetchInterval: (query) => (query.state.data?.state === 'drawing' ? whileDrawingMs : false),
  });

export const printOriginQuery = (printId: string) =>
  queryOptions({
    queryKey: sheetKeys.origin(printId),
    queryFn: ({ signal }): Promise<PrintOrigin> => call(routes.printOrigin, { params: { printId }, signal }),
  });

export const templatesQuery = queryOptions({
  queryKey: sheetKeys.templates,
  queryFn: ({ signal }): Promise<readonly SheetTemplateView[]> => call(routes.sheetTemplates, { signal }),
});

/** Makes a sheet and saves its file. */
export function useMakeSheet(place: PlaceId): UseMutationResult<SheetView, Error, MakeSheet> {
  const changed = useMaterialsChanged();
  return useMutation({
    mutationFn: (body: MakeSheet): Promise<SheetView> => {
      const { route, params } = routeFor(place, routes.makeStationSheet, routes.makeMaterialSheet);
      return call(route, { params, body });
    },
    onSuccess: (sheet) => {
      saveFile(sheetAddress(sheet), sheet.fileName);
      return changed();
    },
  });
}

/** What goes on paper changes what the bench says of it. */
function usePaperMutation<Input, Reply>(
  mutationFn: (request: Input) => Promise<Reply>,
): UseMutationResult<Reply, Error, Input> {
  const client = useQueryClient();
  const changed = useMaterialsChanged();
  return useMutation({
    mutationFn,
    onSettled: async () => {
      await Promise.all([client.invalidateQueries({ queryKey: sheetKeys.prints }), changed()]);
    },
  });
}

export function useMakePrint(): UseMutationResult<PrintView, Error, MakePrint> {
  return usePaperMutation((body: MakePrint) => call(routes.makePrint, { body }));
}

export function useStopPrint(): UseMutationResult<null, Error, string> {
  return usePaperMutation((printId: string) => call(routes.stopPrint, { params: { printId } }));
}

export function useDrawAgain(): UseMutationResult<PrintView, Error, string> {
  return usePaperMutation((printId: string) => call(routes.drawPrintAgain, { params: { printId } }));
}

function useTemplateMutation<Input, Reply>(
  mutationFn: (request: Input) => Promise<Reply>,
): UseMutationResult<Reply, Error, Input> {
  const client = useQueryClient();
  return useMutation({
    mutationFn,
    onSettled: async () => {
      await Promise.all([
        client.invalidateQueries({ queryKey: sheetKeys.templates }),
        client.invalidateQueries({ queryKey: sheetKeys.all }),
      ]);
    },
  });
}

/** @param before the template that is changed; null for a new one */
export function useKeepTemplate(
  before: SheetTemplateView | null,
): UseMutationResult<SheetTemplateView, Error, CreateSheetTemplate> {
  return useTemplateMutation(({ kind, ...request }: CreateSheetTemplate) =>
    before === null
      ? call(routes.createSheetTemplate, { body: { kind, ...request } })
      : call(routes.changeSheetTemplate, {
          params: { sheetTemplateId: before.id },
          body: { ...request, version: before.version } satisfies ChangeSheetTemplate,
        }),
  );
}

export function useRemoveTemplate(): UseMutationResult<null, Error, string> {
  return useTemplateMutation((sheetTemplateId: string) =>
    call(routes.removeSheetTemplate, { params: { sheetTemplateId } }),
  );
}

export function useUsualTemplate(): UseMutationResult<
  SheetTemplateView,
  Error,
  { readonly id: string; readonly usual: boolean }
> {
  return useTemplateMutation(({ id, usual }) =>
    call(routes.chooseUsualSheetTemplate, { params: { sheetTemplateId: id }, body: { usual } }),
  );
}

export function sheetAddress(sheet: SheetView): string {
  return addressOf(routes.sheetFile, { sheetId: sheet.id });
}

export function printFileAddress({ id }: PrintView): string {
  return addressOf(routes.printFile, { printId: id });
}

export function printPicturesAddress({ id }: PrintView): string {
  return `${addressOf(routes.printPictures, { printId: id })}?dpi=300`;
}

/** @param page from 1 */
export function printPageAddress(printId: string, page: number): string {
  return addressOf(routes.printPage, { printId, pageNumber: String(page) });
}

export function saveFile(address: string, name: string): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
}
