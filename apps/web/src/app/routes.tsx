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
    lazy: () => import('../school/account/sign-in-page.js'),
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
  },
  // Nothing but pages, for the printer.
  {
    path: '/prints/:printId',
    loader: staffOnly,
    lazy: () => import('../paper/sheet/print-page.js'),
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
  },
  // For students: no session, no tabs.
  {
    path: '/read',
    lazy: () => import('../student-pages/student-reader/read-page.js'),
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
  },
  {
    path: '/inspect',
    loader: staffOrVisitor,
    element: <InspectFrame />,
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
    children: [{ index: true, lazy: () => import('../reads/inspection/inspect-page.js') }],
  },
  {
    path: '/',
    loader: staffOnly,
    element: <Shell />,
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
    children: [
      { index: true, lazy: () => import('../overview/start/start-page.js') },
      { path: 'lessons', lazy: () => import('../overview/bench/lessons-page.js') },
      { path: 'lessons/:lessonId', lazy: () => import('../overview/bench/bench-page.js') },
      {
        path: 'lessons/:lessonId/stations/:stationId',
        lazy: () => import('../overview/material-page/material-page.js'),
      },
      { path: 'shelf', lazy: () => import('../overview/shelf/shelf-page.js') },
      { path: 'lessons/:lessonId/stations/:stationId/try', lazy: () => import('../reads/tryout/try-page.js') },
      { path: 'shelf/short-links', lazy: () => import('../code/short-link/short-links-page.js') },
      { path: 'shelf/:materialId/try', lazy: () => import('../reads/tryout/try-page.js') },
      { path: 'shelf/files', lazy: () => import('../gather/file/files-page.js') },
      { path: 'shelf/:materialId/write', lazy: () => import('../gather/written-page/write-page.js') },
      { path: 'shelf/:materialId', lazy: () => import('../overview/material-page/material-page.js') },
      { path: 'sheets', lazy: () => import('../paper/sheet/compose-page.js') },
      { path: 'school/students', lazy: () => import('../students/student/students-page.js') },
      { path: 'school/students/import', lazy: () => import('../students/student/import-page.js') },
      { path: 'school/students/cards', lazy: () => import('../students/student-card/cards-page.js') },
      { path: 'school/students/read', lazy: () => import('../students/student-card/read-page.js') },
      { path: 'school/templates', lazy: () => import('../paper/sheet/templates-page.js') },
      { path: 'add', lazy: () => import('../overview/add/add-page.js') },
      { path: 'devices', lazy: () => import('../school/devices-page/devices-page.js') },
      { path: 'school/looks', lazy: () => import('../code/look/looks-page.js') },
      { path: 'school/looks/:lookId', lazy: () => import('../overview/look-editor/look-editor-page.js') },
      { path: 'school', lazy: () => import('../overview/school/school-page.js') },
      { path: 'school/services', lazy: () => import('../gather/service-description/services-page.js') },
      { path: 'school/services/new', lazy: () => import('../gather/service-description/service-page.js') },
      { path: 'school/services/:serviceId', lazy: () => import('../gather/service-description/service-page.js') },
      { path: '*', element: <NotFoundPage /> },
    ],
  },
]);
