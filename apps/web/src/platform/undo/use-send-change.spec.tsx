/** @jest-environment jsdom */
import { useMutation } from '@tanstack/react-query';
import { act, fireEvent, screen } from '@testing-library/react';
import { useState, type ReactElement } from 'react';
import { renderPage } from '../../test/render-page.js';
import { ApiError } from '../api/problem-error.js';
import { useNotice } from '../design/notice.js';
import { useSendChange } from './use-send-change.js';

/** A row that is gone, as its list says, before its own removal is answered. */
function Row({
  remove,
  onGone,
}: {
  readonly remove: () => Promise<string>;
  readonly onGone: () => void;
}): ReactElement {
  const removal = useMutation({ mutationFn: remove, onSettled: () => act(onGone) });
  const sendChange = useSendChange();
  const notice = useNotice();
  return (
    <button
      onClick={() => sendChange(removal, undefined, { onSuccess: (words) => notice({ words, undo: () => undefined }) })}
    >
      Delete
    </button>
  );
}

function List(props: { readonly remove: () => Promise<string> }): ReactElement {
  const [gone, setGone] = useState(false);
  return gone ? <p>Empty</p> : <Row {...props} onGone={() => setGone(true)} />;
}

describe('what follows a change', () => {
  it('happens when the part of the page that asked for it is gone, with its undo', async () => {
    renderPage(<List remove={() => Promise.resolve('1 material deleted.')} />);
    fireEvent.click(screen.getByRole('button', { name: 'Delete' }));
    await screen.findByText('Empty');
    expect(await screen.findByText('1 material deleted.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Undo' })).toBeTruthy();
  });

  it('is told in words when it fails, even then', async () => {
    renderPage(<List remove={() => Promise.reject(new ApiError('unreachable'))} />);
    fireEvent.click(screen.getByRole('button', { name: 'Delete' }));
    await screen.findByText('Empty');
    expect(await screen.findByText(/can’t be reached/)).toBeTruthy();
  });
});
