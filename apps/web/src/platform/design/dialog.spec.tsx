/** @jest-environment jsdom */
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState, type ReactElement } from 'react';
import { Dialog } from './dialog.js';
import { TextField } from './field.js';
import { useUnsaved } from './unsaved.js';
import { Menu } from './menu.js';

function Opens(): ReactElement {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button onClick={() => setOpen(true)}>Change</button>
      <Menu label="More" entries={[{ label: 'Rename', onSelect: () => setOpen(true) }]}>
        More
      </Menu>
      {open && (
        <Dialog title="Change it" onClose={() => setOpen(false)}>
          <button>Save</button>
        </Dialog>
      )}
    </>
  );
}

function Field({ discard }: { readonly discard: () => void }): ReactElement {
  const [text, setText] = useState('');
  useUnsaved(text !== '', discard);
  return <TextField label="Name" value={text} onChange={(event) => setText(event.target.value)} />;
}

describe('a dialog with something unsaved', () => {
  const onClose = jest.fn();
  const discard = jest.fn();
  beforeEach(async () => {
    onClose.mockReset();
    discard.mockReset();
    render(
      <Dialog title="Change it" onClose={onClose}>
        <Field discard={discard} />
      </Dialog>,
    );
    await userEvent.type(screen.getByLabelText('Name'), 'Tides');
    await userEvent.keyboard('{Escape}');
  });

  it('asks before it closes, and the safe answer has the focus', async () => {
    expect(onClose).not.toHaveBeenCalled();
    expect(document.activeElement?.textContent).toBe('Keep editing');
    await userEvent.keyboard('{Enter}');
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Tides');
    expect(screen.queryByText('You have not saved this.')).toBeNull();
  });

  it('gives it up when told so, and closes at a second Escape without', async () => {
    await userEvent.click(screen.getByRole('button', { name: 'Discard' }));
    expect([discard.mock.calls.length, onClose.mock.calls.length]).toEqual([1, 1]);
    await userEvent.keyboard('{Escape}');
    expect([discard.mock.calls.length, onClose.mock.calls.length]).toEqual([1, 2]);
  });

  it('asks nothing once it is saved or emptied', async () => {
    await userEvent.click(screen.getByRole('button', { name: 'Keep editing' }));
    await userEvent.clear(screen.getByLabelText('Name'));
    await userEvent.keyboard('{Escape}');
    expect(onClose).toHaveBeenCalledTimes(1);
  });
});

describe('a dialog', () => {
  const closed = async (): Promise<void> => {
    await screen.findByRole('dialog');
    await userEvent.keyboard('{Escape}');
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  };

  it('gives the focus back to the button that opened it', async () => {
    render(<Opens />);
    const button = screen.getByRole('button', { name: 'Change' });
    await userEvent.click(button);
    await closed();
    await waitFor(() => expect(document.activeElement).toBe(button));
  });

  it('gives it to the menu’s button where an entry opened it', async () => {
    render(<Opens />);
    const button = screen.getByRole('button', { name: 'More' });
    await userEvent.click(button);
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Rename' }));
    await closed();
    await waitFor(() => expect(document.activeElement).toBe(button));
  });
});
