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

// A function, not an object of functions: the router says nothing of those that fail, and the page would stay empty.
export const router = createBrowserRouter([
  {
    path: '/sign-in',
    lazy: async () => ({ Component: (await import('../school/account/sign-in-page.js')).SignInPage }),
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
  },
  // One-time links: their tokens are behind the #, which no server sees.
  ...(['/setup', '/join', '/new-password'] as const).map((path) => ({
    path,
    lazy: async () => ({ Component: (await import('../school/account-link/account-link-page.js')).AccountLinkPage }),
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
  })),
  // Nothing but pages, for the printer.
  {
    path: '/prints/:printId',
    loader: staffOnly,
    lazy: async () => ({ Component: (await import('../paper/sheet/print-page.js')).PrintPage }),
    errorElement: <FailedPage />,
    hydrateFallbackElement: <></>,
  },
  // For students: no session, no tabs.
  {
    path: '/read',
    lazy: async () => ({ Component: (await import('../student-pages/student-reader/read-page.js')).StudentReaderPage }),
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
        lazy: async () => ({ Component: (await import('../reads/inspection/inspect-page.js')).InspectPage }),
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
      {
        index: true,
        handle: { guide: 'first-code' },
        lazy: async () => ({ Component: (await import('../overview/start/start-page.js')).StartPage }),
      },
      {
        path: 'lessons',
        handle: { guide: 'lesson' },
        lazy: async () => ({ Component: (await import('../overview/bench/lessons-page.js')).LessonsPage }),
      },
      {
        path: 'lessons/:lessonId',
        handle: { guide: 'lesson' },
        lazy: async () => ({ Component: (await import('../overview/bench/bench-page.js')).BenchPage }),
      },
      {
        path: 'lessons/:lessonId/stations/:stationId',
        handle: { guide: 'fix-a-link' },
        lazy: async () => ({ Component: (await import('../overview/material-page/material-page.js')).MaterialPage }),
      },
      {
        path: 'shelf',
        handle: { guide: 'first-code' },
        lazy: async () => ({ Component: (await import('../overview/shelf/shelf-page.js')).ShelfPage }),
      },
      {
        path: 'lessons/:lessonId/stations/:stationId/try',
        handle: { guide: 'try-devices' },
        lazy: async () => ({ Component: (await import('../reads/tryout/try-page.js')).TryPage }),
      },
      {
        path: 'shelf/short-links',
        handle: { guide: 'short-links' },
        lazy: async () => ({ Component: (await import('../code/short-link/short-links-page.js')).ShortLinksPage }),
      },
      {
        path: 'shelf/:materialId/try',
        handle: { guide: 'try-devices' },
        lazy: async () => ({ Component: (await import('../reads/tryout/try-page.js')).TryPage }),
      },
      {
        path: 'shelf/files',
        lazy: async () => ({ Component: (await import('../gather/file/files-page.js')).FilesPage }),
      },
      {
        path: 'shelf/:materialId/write',
        lazy: async () => ({ Component: (await import('../gather/written-page/write-page.js')).WritePage }),
      },
      {
        path: 'shelf/:materialId',
        handle: { guide: 'first-code' },
        lazy: async () => ({ Component: (await import('../overview/material-page/material-page.js')).MaterialPage }),
      },
      {
        path: 'sheets',
        handle: { guide: 'sheets' },
        lazy: async () => ({ Component: (await import('../paper/sheet/compose-page.js')).ComposePage }),
      },
      {
        path: 'school/students',
        handle: { guide: 'cards' },
        lazy: async () => ({ Component: (await import('../students/student/students-page.js')).StudentsPage }),
      },
      {
        path: 'school/students/import',
        handle: { guide: 'cards' },
        lazy: async () => ({ Component: (await import('../students/student/import-page.js')).ImportRosterPage }),
      },
      {
        path: 'school/students/next-year',
        handle: { guide: 'cards' },
        lazy: async () => ({ Component: (await import('../students/student/next-year-page.js')).NextYearPage }),
      },
      {
        path: 'school/students/photos',
        handle: { guide: 'cards' },
        lazy: async () => ({ Component: (await import('../students/student-photo/photos-page.js')).PhotosPage }),
      },
      {
        path: 'school/students/cards',
        handle: { guide: 'cards' },
        lazy: async () => ({ Component: (await import('../students/student-card/cards-page.js')).CardsPage }),
      },
      {
        path: 'school/students/read',
        handle: { guide: 'cards' },
        lazy: async () => ({ Component: (await import('../students/student-card/read-page.js')).ReadCardsPage }),
      },
      {
        path: 'school/templates',
        handle: { guide: 'sheets' },
        lazy: async () => ({ Component: (await import('../paper/sheet/templates-page.js')).TemplatesPage }),
      },
      {
        path: 'add',
        handle: { guide: 'first-code' },
        lazy: async () => ({ Component: (await import('../overview/add/add-page.js')).AddPage }),
      },
      {
        path: 'devices',
        handle: { guide: 'administrator' },
        lazy: async () => ({ Component: (await import('../school/devices-page/devices-page.js')).DevicesPage }),
      },
      {
        path: 'school/looks',
        lazy: async () => ({ Component: (await import('../code/look/looks-page.js')).LooksPage }),
      },
      {
        path: 'school/looks/:lookId',
        lazy: async () => ({ Component: (await import('../overview/look-editor/look-editor-page.js')).LookEditorPage }),
      },
      {
        path: 'school',
        handle: { guide: 'administrator' },
        lazy: async () => ({ Component: (await import('../overview/school/school-page.js')).SchoolPage }),
      },
      {
        path: 'account',
        lazy: async () => ({ Component: (await import('../school/own-account/account-page.js')).AccountPage }),
      },
      {
        path: 'school/staff',
        handle: { guide: 'administrator' },
        lazy: async () => ({ Component: (await import('../school/staff/staff-page.js')).StaffPage }),
      },
      {
        path: 'school/setup',
        handle: { guide: 'administrator' },
        lazy: async () => ({ Component: (await import('../overview/setup/setup-page.js')).SetupPage }),
      },
      {
        path: 'school/condition',
        handle: { guide: 'administrator' },
        lazy: async () => ({ Component: (await import('../overview/condition/condition-page.js')).ConditionPage }),
      },
      {
        path: 'school/activity',
        handle: { guide: 'administrator' },
        lazy: async () => ({ Component: (await import('../school/activity/activity-page.js')).ActivityPage }),
      },
      {
        path: 'school/retention',
        handle: { guide: 'administrator' },
        lazy: async () => ({ Component: (await import('../school/retention/retention-page.js')).RetentionPage }),
      },
      {
        path: 'school/services',
        handle: { guide: 'administrator' },
        lazy: async () => ({
          Component: (await import('../gather/service-description/services-page.js')).ServicesPage,
        }),
      },
      {
        path: 'school/services/new',
        handle: { guide: 'administrator' },
        lazy: async () => ({ Component: (await import('../gather/service-description/service-page.js')).ServicePage }),
      },
      {
        path: 'school/services/:serviceId',
        handle: { guide: 'administrator' },
        lazy: async () => ({ Component: (await import('../gather/service-description/service-page.js')).ServicePage }),
      },
      { path: 'guide/:page?', lazy: async () => ({ Component: (await import('./guide/guide-page.js')).GuidePage }) },
      { path: '*', element: <NotFoundPage /> },
    ],
  },
]);
