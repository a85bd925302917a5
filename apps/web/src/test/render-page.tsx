/** Draws components as they are in the application: with its queries, its notices, an address, and a server that answers from a list. */
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, type RenderResult } from '@testing-library/react';
import type { ReactElement } from 'react';
import { MemoryRouter } from 'react-router';
import { NoticeProvider } from '../platform/design/notice.js';

/** By method and path, without what follows a `?`: what the server answers, or what makes the answer of a request's body. */
export type Answers = Readonly<Record<string, unknown>>;

/** A request that was sent. */
export interface Sent {
  readonly what: string;
  readonly body: unknown;
}

/** Answers in place of the server. An answer may be a problem or a promise. @returns requests sent so far, in order */
export function serverAnswers(answers: Answers): readonly Sent[] {
  const sent: Sent[] = [];
  globalThis.fetch = ((address: string, { method = 'GET', body }: RequestInit = {}) => {
    const what = `${method} ${new URL(address, 'http://here.example').pathname}`;
    const one: Sent = { what, body: typeof body === 'string' ? JSON.parse(body) : null };
    sent.push(one);
    const known = what in answers ? answers[what] : new Problem(404, 'not-found');
    const answer: unknown = typeof known === 'function' ? (known as (body: unknown) => unknown)(one.body) : known;
    return Promise.resolve(answer).then((given) => reply(given instanceof Problem ? given.status : 200, given));
  }) as typeof fetch;
  return sent;
}

/** A problem as the server tells it. */
export class Problem {
  readonly message = '';
  constructor(
    readonly status: number,
    readonly reason: string,
  ) {}
}

/** @param body sent as JSON */
export function reply(status: number, body: unknown): Response {
  const text = JSON.stringify(body);
  // What the client looks at: jsdom has no Response.
  const headers = { get: () => null };
  return {
    status,
    headers,
    ok: status < 400,
    text: () => Promise.resolve(text),
    json: () => Promise.resolve(body),
  } as unknown as Response;
}

export function renderPage(page: ReactElement, at = '/'): RenderResult {
  const client = new QueryClient({
    defaultOptions: { queries: { retry: false, gcTime: 0 }, mutations: { gcTime: 0 } },
  });
  return render(
    <QueryClientProvider client={client}>
      <NoticeProvider>
        <MemoryRouter initialEntries={[at]}>{page}</MemoryRouter>
      </NoticeProvider>
    </QueryClientProvider>,
  );
}
