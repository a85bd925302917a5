/** @jest-environment jsdom */
import { useMutation } from '@tanstack/react-query';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
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

/** Two changes, each with its way back. */
function TwoChanges({
  answers,
  onUndo,
}: {
  readonly answers: Readonly<Record<string, Promise<void>>>;
  readonly onUndo: (what: string) => void;
}): ReactElement {
  const change = useMutation({ mutationFn: (what: string) => answers[what] ?? Promise.resolve() });
  const sendChange = useSendChange();
  const notice = useNotice();
  const send = (what: string): void =>
    sendChange(change, what, { onSuccess: () => notice({ words: `${what}: done`, undo: () => onUndo(what) }) });
  return (
    <>
      {Object.keys(answers).map((what) => (
        <button key={what} onClick={() => send(what)}>
          {what}
        </button>
      ))}
    </>
  );
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

  it('is undone by Ctrl+Z that is pressed before it is answered, and not what was done before it', async () => {
    const undone: string[] = [];
    let answer = (): void => undefined;
    const answered = new Promise<void>((resolve) => (answer = resolve));
    renderPage(
      <TwoChanges answers={{ Move: Promise.resolve(), Delete: answered }} onUndo={(what) => undone.push(what)} />,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Move' }));
    await screen.findByText('Move: done');
    fireEvent.click(screen.getByRole('button', { name: 'Delete' }));
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    expect(undone).toEqual([]);
    await act(async () => answer());
    await waitFor(() => expect(undone).toEqual(['Delete', 'Move']));
  });

  it('is undone in the order in which people acted, also where the answers arrive in another one', async () => {
    const undone: string[] = [];
    let answer = (): void => undefined;
    const answered = new Promise<void>((resolve) => (answer = resolve));
    renderPage(
      <TwoChanges answers={{ Move: answered, Delete: Promise.resolve() }} onUndo={(what) => undone.push(what)} />,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Move' }));
    fireEvent.click(screen.getByRole('button', { name: 'Delete' }));
    await screen.findByText('Delete: done');
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    await act(async () => answer());
    await waitFor(() => expect(undone).toEqual(['Delete']));
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    await waitFor(() => expect(undone).toEqual(['Delete', 'Move']));
  });
});
