/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { act, useState, type ReactElement } from 'react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { FoldingPanel } from './panel.js';

function Part({ first }: { readonly first: boolean }): ReactElement {
  const [calm, setCalm] = useState(first);
  return (
    <>
      <button onClick={() => setCalm(!calm)}>Change</button>
      <FoldingPanel id="look" name="its look" calm={calm} title="Look: plain" action={<button>Choose</button>}>
        Contrast 77 %
      </FoldingPanel>
    </>
  );
}

describe('a part that folds', () => {
  const show = (calm: boolean, at = '/'): ReturnType<typeof createMemoryRouter> => {
    const router = createMemoryRouter([{ path: '*', element: <Part first={calm} /> }], { initialEntries: [at] });
    render(<RouterProvider router={router} />);
    return router;
  };
  const isOpen = (): boolean => screen.queryByText('Contrast 77 %') !== null;

  it('is one line where nothing needs attention, with its action hidden, and opens by its button and its line', () => {
    show(true);
    expect(isOpen()).toBe(false);
    expect(screen.queryByRole('button', { name: 'Choose' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Show its look' }));
    expect(isOpen()).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'Hide its look' }));
    expect(isOpen()).toBe(false);
    fireEvent.click(screen.getByRole('heading', { name: 'Look: plain' }));
    expect(isOpen()).toBe(true);
  });

  it('opens when something needs attention, and folds under nobody’s eyes', () => {
    show(true);
    fireEvent.click(screen.getByRole('button', { name: 'Change' }));
    expect(isOpen()).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'Change' }));
    expect(isOpen()).toBe(true);
  });

  it('opens for who is led to it, again after it was folded by hand, and stays open when they are led on', async () => {
    const router = show(true, '/#look');
    expect(isOpen()).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'Hide its look' }));
    expect(isOpen()).toBe(false);
    await act(() => router.navigate('/#reads'));
    expect(isOpen()).toBe(false);
    await act(() => router.navigate('/#look'));
    expect(isOpen()).toBe(true);
    await act(() => router.navigate('/#reads'));
    expect(isOpen()).toBe(true);
  });
});
