/** @jest-environment jsdom */
import type { NewMaterial } from '@hapset/contract';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderPage, serverAnswers } from '../../test/render-page.js';
import { Intake } from './intake.js';

describe('the intake', () => {
  const field = () => screen.getByRole('textbox', { name: 'Next station' });
  const review = () => screen.findByRole('list', { name: 'What will be added' });

  function show(
    onAdd: (items: readonly NewMaterial[]) => Promise<unknown> = () => Promise.resolve(),
    here: readonly string[] = [],
  ): void {
    serverAnswers({ 'GET /api/services': [], 'GET /api/devices': [], 'GET /api/classes': [] });
    renderPage(<Intake label="Next station" placeholder="Paste" noun="station" here={here} onAdd={onAdd} />);
  }

  it('adds one plain link with a press of Enter, and is empty then', async () => {
    const onAdd = jest.fn(() => Promise.resolve());
    show(onAdd);
    await userEvent.type(field(), 'https://a.example/tides{Enter}');
    await waitFor(() => expect(onAdd).toHaveBeenCalledTimes(1));
    expect(onAdd).toHaveBeenCalledWith([
      { link: 'https://a.example/tides', pasted: 'https://a.example/tides', repairs: [] },
    ]);
    await waitFor(() => expect(field()).toHaveProperty('value', ''));
  });

  it('shows what was understood of several things, with what was repaired, before any is added', async () => {
    const onAdd = jest.fn(() => Promise.resolve());
    show(onAdd);
    await userEvent.click(field());
    await userEvent.paste('https://https://a.example/tides\nWhat lives under the seaweed?');
    const items = within(await review()).getAllByRole('listitem');
    expect(items.some((item) => item.textContent?.includes('https://a.example/tides'))).toBe(true);
    expect(screen.getByText(/^Repaired:/)).toBeTruthy();
    expect(onAdd).not.toHaveBeenCalled();
    await userEvent.click(screen.getByRole('button', { name: /2 stations/ }));
    await waitFor(() => expect(onAdd).toHaveBeenCalledTimes(1));
    const [added = []] = onAdd.mock.calls[0] as unknown as [readonly NewMaterial[]];
    expect(added.map(({ link, words }) => link ?? words)).toEqual([
      'https://a.example/tides',
      'What lives under the seaweed?',
    ]);
    expect(added[0]?.repairs.length).toBeGreaterThan(0);
  });

  it('keeps what was typed where it could not be added, and says so', async () => {
    show(() => Promise.reject(new Error('the server is away')));
    await userEvent.type(field(), 'https://a.example/tides{Enter}');
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(field()).toHaveProperty('value', 'https://a.example/tides');
  });

  it('says which link is here already', async () => {
    show(undefined, ['https://a.example/tides']);
    await userEvent.click(field());
    await userEvent.paste('https://a.example/tides\nhttps://a.example/shells');
    const [first, second] = within(await review()).getAllByRole('listitem');
    expect(first?.textContent).toMatch(/already/i);
    expect(second?.textContent).not.toMatch(/already/i);
  });
});
