/** The pages. Each comes as its own file when it is needed; staff pages stand behind the session. */
import { createBrowserRouter, redirect, type LoaderFunctionArgs } from 'react-router';
import { sessionQuery, visitorQuery } from './account/session.queries.js';
import { ApiError } from './api/problem-error.js';
import { queryClient } from './api/query-client.js';
import { InspectFrame } from './inspect/inspect-frame.js';
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
    lazy: () => import('./account/sign-in-page.js'),
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
  },
  // Nothing but pages, for the printer.
  {
    path: '/prints/:printId',
    loader: staffOnly,
    lazy: () => import('./sheet/print-page.js'),
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
  },
  // For students: no session, no tabs.
  {
    path: '/read',
    lazy: () => import('./student-reader/read-page.js'),
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
  },
  {
    path: '/inspect',
    loader: staffOrVisitor,
    element: <InspectFrame />,
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
    children: [{ index: true, lazy: () => import('./inspect/inspect-page.js') }],
  },
  {
    path: '/',
    loader: staffOnly,
    element: <Shell />,
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
    children: [
      { index: true, lazy: () => import('./start/start-page.js') },
      { path: 'lessons', lazy: () => import('./lesson/lessons-page.js') },
      { path: 'lessons/:lessonId', lazy: () => import('./lesson/bench-page.js') },
      { path: 'lessons/:lessonId/stations/:stationId', lazy: () => import('./material/material-page.js') },
      { path: 'shelf', lazy: () => import('./material/shelf-page.js') },
      { path: 'lessons/:lessonId/stations/:stationId/try', lazy: () => import('./tryout/try-page.js') },
      { path: 'shelf/short-links', lazy: () => import('./short-link/short-links-page.js') },
      { path: 'shelf/:materialId/try', lazy: () => import('./tryout/try-page.js') },
      { path: 'shelf/files', lazy: () => import('./file/files-page.js') },
      { path: 'shelf/:materialId/write', lazy: () => import('./written-page/write-page.js') },
      { path: 'shelf/:materialId', lazy: () => import('./material/material-page.js') },
      { path: 'sheets', lazy: () => import('./sheet/compose-page.js') },
      { path: 'school/students', lazy: () => import('./roster/students-page.js') },
      { path: 'school/students/import', lazy: () => import('./roster/import-page.js') },
      { path: 'school/students/cards', lazy: () => import('./student-card/cards-page.js') },
      { path: 'school/students/read', lazy: () => import('./student-card/read-page.js') },
      { path: 'school/templates', lazy: () => import('./sheet/templates-page.js') },
      { path: 'add', lazy: () => import('./add/add-page.js') },
      { path: 'devices', lazy: () => import('./device/devices-page.js') },
      { path: 'school/looks', lazy: () => import('./look/looks-page.js') },
      { path: 'school/looks/:lookId', lazy: () => import('./look/look-editor-page.js') },
      { path: 'school', lazy: () => import('./school/school-page.js') },
      { path: 'school/services', lazy: () => import('./service/services-page.js') },
      { path: 'school/services/new', lazy: () => import('./service/service-page.js') },
      { path: 'school/services/:serviceId', lazy: () => import('./service/service-page.js') },
      { path: '*', element: <NotFoundPage /> },
    ],
  },
]);
