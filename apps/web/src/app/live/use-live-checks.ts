/** Listens to the server while a page of the staff is open: what shows a material is asked for again when its check moves on. */
import { routes, type LiveEvent } from '@hapset/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { lessonKeys } from '../../lessons/lesson/lesson.keys.js';
import { materialKeys } from '../../gather/material/material.keys.js';
import { tryoutKeys } from '../../reads/tryout/tryout.queries.js';
import { serverState } from '../../platform/api/server-state.js';
import { newsQuery } from '../../overview/news/news.queries.js';
import { LiveSource } from './live-source.js';

/** Many checks end within moments; they are shown together. */
const gatherMs = 250;

export function useLiveChecks(): void {
  const client = useQueryClient();
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | null = null;
    let finished = false;
    const refresh = (): void => {
      timer = null;
      void client.invalidateQueries({ queryKey: lessonKeys.all });
      void client.invalidateQueries({ queryKey: materialKeys.all });
      if (finished) void client.invalidateQueries({ queryKey: newsQuery.queryKey });
      finished = false;
    };
    const live = new LiveSource({
      open: () => new EventSource(routes.events.path),
      events: {
        check: (data) => {
          const event = JSON.parse(data) as LiveEvent;
          finished ||= event.type === 'check' && event.state === 'done';
          timer ??= setTimeout(refresh, gatherMs);
        },
        tryout: (data) =>
          void client.invalidateQueries({ queryKey: tryoutKeys.list((JSON.parse(data) as LiveEvent).materialId) }),
      },
      onLost: () => serverState.askNow(),
      onReturn: () => {
        finished = true;
        timer ??= setTimeout(refresh, gatherMs);
      },
    });
    live.start();
    return () => {
      live.stop();
      if (timer !== null) clearTimeout(timer);
    };
  }, [client]);
}
