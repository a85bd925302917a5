/** @jest-environment jsdom */
import { act, screen, waitFor } from '@testing-library/react';
import type { ReactElement } from 'react';
import { serverState } from '../../platform/api/server-state.js';
import { renderPage, reply } from '../../test/render-page.js';
import { useReading } from './use-reading.js';

function Desk(): ReactElement {
  const { last, waiting, error, ask } = useReading();
  return (
    <>
      <button onClick={() => ['one', 'two'].forEach(ask)}>Read two</button>
      <p>{`${waiting} wait, last ${last?.student?.name ?? 'nobody'}, ${error ? 'failed' : 'well'}`}</p>
    </>
  );
}

describe('reading cards', () => {
  const sent: unknown[] = [];
  let isAway = true;
  beforeEach(() => {
    sent.length = 0;
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
});
