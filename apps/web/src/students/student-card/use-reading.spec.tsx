/** @jest-environment jsdom */
import { act, screen, waitFor } from '@testing-library/react';
import type { ReactElement } from 'react';
import { serverState } from '../../platform/api/server-state.js';
import { renderPage, reply } from '../../test/render-page.js';
import { loadUnsent } from './unsent-cards.js';
import { useReading } from './use-reading.js';

function Desk(): ReactElement {
  const { last, waiting, error, ask } = useReading('a');
  return (
    <>
      <button onClick={() => ['one', 'two'].forEach((text) => ask(text))}>Read two</button>
      <p>{`${waiting.length} wait, last ${last?.student?.name ?? 'nobody'}, ${error ? 'failed' : 'well'}`}</p>
    </>
  );
}

describe('reading cards', () => {
  const sent: unknown[] = [];
  let isAway = true;
  beforeEach(() => {
    sent.length = 0;
    sessionStorage.clear();
    isAway = true;
    jest.spyOn(serverState, 'noteAway').mockImplementation(() => undefined);
    globalThis.fetch = jest.fn((_: unknown, init?: RequestInit) => {
      if (isAway) return Promise.reject(new TypeError('Failed to fetch'));
      const body = JSON.parse(String(init?.body ?? '{}')) as { text?: string };
      if (body.text !== undefined) sent.push(body);
      const read = {
        result: 'student',
        student: { id: 's', name: body.text, className: '', schoolId: null },
        readingId: 'r',
      };
      return Promise.resolve(reply(200, read));
    });
  });
  afterEach(() => jest.restoreAllMocks());

  it('keeps what is read while the server is away, and sends it in order when it answers', async () => {
    let answersAgain = (): void => undefined;
    jest.spyOn(serverState, 'onReturn').mockImplementation((listener) => {
      answersAgain = listener;
      return () => undefined;
    });
    renderPage(<Desk />);
    act(() => screen.getByRole('button').click());
    await screen.findByText('2 wait, last nobody, well');
    isAway = false;
    act(() => answersAgain());
    await waitFor(() => expect(screen.getByText('0 wait, last two, well')).toBeTruthy());
    expect(sent).toMatchObject([{ text: 'one' }, { text: 'two' }]);
  });

  it('keeps them through a reload of the tab, each once, and sends them with the time that they waited', async () => {
    const now = jest.spyOn(Date, 'now').mockReturnValue(1_000_000);
    const first = renderPage(<Desk />);
    act(() => screen.getByRole('button').click());
    act(() => screen.getByRole('button').click());
    await screen.findByText('2 wait, last nobody, well');
    first.unmount();
    now.mockReturnValue(1_000_000 + 90_000);
    isAway = false;
    renderPage(<Desk />);
    await screen.findByText('0 wait, last two, well');
    expect(sent).toEqual([
      { text: 'one', waitedMs: 90_000 },
      { text: 'two', waitedMs: 90_000 },
    ]);
    expect(sessionStorage.length).toBe(0);
  });

  it('has nothing of what another account left, or of what has another shape', () => {
    sessionStorage.setItem('hapset unsent cards b', JSON.stringify([{ text: 'x', typed: false, readAtMs: 1 }]));
    sessionStorage.setItem('hapset unsent cards a', JSON.stringify([{ text: 7 }, 'x', null]));
    expect([loadUnsent('a'), loadUnsent('b').length]).toEqual([[], 1]);
    sessionStorage.setItem('hapset unsent cards a', '{');
    expect(loadUnsent('a')).toEqual([]);
  });
});
