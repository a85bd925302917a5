import './platform/design/theme.css';
import './platform/theme/use-theme.js';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { queryClient } from './platform/api/query-client.js';
import { NoticeProvider } from './platform/design/notice.js';
import { router } from './app/routes.js';

// Without a secure context (plain http on a phone) there is none, and nothing is lost but the share menu.
if (import.meta.env.PROD && 'serviceWorker' in navigator)
  void navigator.serviceWorker.register('/service-worker.js').catch(() => undefined);

const page = document.getElementById('page');
if (!page) throw new Error('index.html has no #page');
createRoot(page).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <NoticeProvider>
        <RouterProvider router={router} />
      </NoticeProvider>
    </QueryClientProvider>
  </StrictMode>,
);
