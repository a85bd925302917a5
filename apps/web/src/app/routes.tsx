/** The pages. Each comes as its own file when it is needed; staff pages stand behind the session. */
import { createBrowserRouter, redirect, type LoaderFunctionArgs } from 'react-router';
import { sessionQuery, visitorQuery } from '../school/account/session.queries.js';
import { ApiError } from '../platform/api/problem-error.js';
import { queryClient } from '../platform/api/query-client.js';
import { InspectFrame } from './shell/inspect-frame.js';
import { Shell } from './shell/shell.js';
import { FailedPage, NotFoundPage } from './shell/trouble-pages.js';

/** Sends strangers to the sign-in, with the way back. */
async function staffOnly({ request }: LoaderFunctionArgs): Promise<Response | null> {
  try {
    await queryClient.ensureQueryData(sessionQuery);
    return null;
  } catch (error) {
    if (!(error instanceof ApiError) || error.reason !== 'not-signed-in') throw error;
    const url = new URL(request.url);
    return redirect(`/sign-in?next=${encodeURIComponent(url.pathname + url.search)}`);
  }
}

/** A visitor may inspect where the school lets the network do so; reading itself needs no server at all. */
async function staffOrVisitor(asked: LoaderFunctionArgs): Promise<Response | null> {
  try {
    const elsewhere = await staffOnly(asked);
    return elsewhere !== null && (await queryClient.ensureQueryData(visitorQuery)).mayInspect ? null : elsewhere;
  } catch (error) {
    if (error instanceof ApiError && error.reason === 'unreachable') return null;
    throw error;
  }
}

export const router = createBrowserRouter([
  {
    path: '/sign-in',
    lazy: { Component: async () => (await import('../school/account/sign-in-page.js')).SignInPage },
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
  },
  // Nothing but pages, for the printer.
  {
    path: '/prints/:printId',
    loader: staffOnly,
    lazy: { Component: async () => (await import('../paper/sheet/print-page.js')).PrintPage },
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
  },
  // For students: no session, no tabs.
  {
    path: '/read',
    lazy: { Component: async () => (await import('../student-pages/student-reader/read-page.js')).StudentReaderPage },
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
  },
  {
    path: '/inspect',
    loader: staffOrVisitor,
    element: <InspectFrame />,
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
    children: [
      {
        index: true,
        lazy: { Component: async () => (await import('../reads/inspection/inspect-page.js')).InspectPage },
      },
    ],
  },
  {
    path: '/',
    loader: staffOnly,
    element: <Shell />,
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
    children: [
      { index: true, lazy: { Component: async () => (await import('../overview/start/start-page.js')).StartPage } },
      {
        path: 'lessons',
        lazy: { Component: async () => (await import('../overview/bench/lessons-page.js')).LessonsPage },
      },
      {
        path: 'lessons/:lessonId',
        lazy: { Component: async () => (await import('../overview/bench/bench-page.js')).BenchPage },
      },
      {
        path: 'lessons/:lessonId/stations/:stationId',
        lazy: { Component: async () => (await import('../overview/material-page/material-page.js')).MaterialPage },
      },
      { path: 'shelf', lazy: { Component: async () => (await import('../overview/shelf/shelf-page.js')).ShelfPage } },
      {
        path: 'lessons/:lessonId/stations/:stationId/try',
        lazy: { Component: async () => (await import('../reads/tryout/try-page.js')).TryPage },
      },
      {
        path: 'shelf/short-links',
        lazy: { Component: async () => (await import('../code/short-link/short-links-page.js')).ShortLinksPage },
      },
      {
        path: 'shelf/:materialId/try',
        lazy: { Component: async () => (await import('../reads/tryout/try-page.js')).TryPage },
      },
      {
        path: 'shelf/files',
        lazy: { Component: async () => (await import('../gather/file/files-page.js')).FilesPage },
      },
      {
        path: 'shelf/:materialId/write',
        lazy: { Component: async () => (await import('../gather/written-page/write-page.js')).WritePage },
      },
      {
        path: 'shelf/:materialId',
        lazy: { Component: async () => (await import('../overview/material-page/material-page.js')).MaterialPage },
      },
      { path: 'sheets', lazy: { Component: async () => (await import('../paper/sheet/compose-page.js')).ComposePage } },
      {
        path: 'school/students',
        lazy: { Component: async () => (await import('../students/student/students-page.js')).StudentsPage },
      },
      {
        path: 'school/students/import',
        lazy: { Component: async () => (await import('../students/student/import-page.js')).ImportRosterPage },
      },
      {
        path: 'school/students/cards',
        lazy: { Component: async () => (await import('../students/student-card/cards-page.js')).CardsPage },
      },
      {
        path: 'school/students/read',
        lazy: { Component: async () => (await import('../students/student-card/read-page.js')).ReadCardsPage },
      },
      {
        path: 'school/templates',
        lazy: { Component: async () => (await import('../paper/sheet/templates-page.js')).TemplatesPage },
      },
      { path: 'add', lazy: { Component: async () => (await import('../overview/add/add-page.js')).AddPage } },
      {
        path: 'devices',
        lazy: { Component: async () => (await import('../school/devices-page/devices-page.js')).DevicesPage },
      },
      { path: 'school/looks', lazy: { Component: async () => (await import('../code/look/looks-page.js')).LooksPage } },
      {
        path: 'school/looks/:lookId',
        lazy: { Component: async () => (await import('../overview/look-editor/look-editor-page.js')).LookEditorPage },
      },
      {
        path: 'school',
        lazy: { Component: async () => (await import('../overview/school/school-page.js')).SchoolPage },
      },
      {
        path: 'school/services',
        lazy: { Component: async () => (await import('../gather/service-description/services-page.js')).ServicesPage },
      },
      {
        path: 'school/services/new',
        lazy: { Component: async () => (await import('../gather/service-description/service-page.js')).ServicePage },
      },
      {
        path: 'school/services/:serviceId',
        lazy: { Component: async () => (await import('../gather/service-description/service-page.js')).ServicePage },
      },
      { path: '*', element: <NotFoundPage /> },
    ],
  },
]);
