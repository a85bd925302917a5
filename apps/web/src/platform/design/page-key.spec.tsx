/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { usePageKey } from './page-key.js';

it('keys act on the page, and are text in a field', async () => {
  const pressed: string[] = [];
  function Page(): ReactElement {
    usePageKey(({ key }) => pressed.push(key));
    return (
      <>
        <button>Button</button>
        <input aria-label="Field" />
        <div role="textbox" tabIndex={0} contentEditable suppressContentEditableWarning />
      </>
    );
  }
  const { unmount } = render(<Page />);
  screen.getByRole('button').focus();
  await userEvent.keyboard('?');
  for (const field of screen.getAllByRole('textbox')) {
    field.focus();
    await userEvent.keyboard('/');
  }
  unmount();
  await userEvent.keyboard('x');
  expect(pressed).toEqual(['?']);
});
