/** @jest-environment jsdom */
import type { NewMaterial, ShelfMatch } from '@hapset/contract';
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
    onShelf: readonly ShelfMatch[] | (() => Promise<readonly ShelfMatch[]>) = [],
    services: readonly unknown[] | (() => Promise<readonly unknown[]>) = [],
  ): void {
    serverAnswers({
      'GET /api/services': services,
      'GET /api/devices': [],
      'GET /api/classes': [],
      'GET /api/school': {},
      'POST /api/shelf-matches': onShelf,
    });
    renderPage(<Intake label="Next station" placeholder="Paste" noun="station" here={here} onAdd={onAdd} />);
  }

  it('adds one plain link with a press of Enter, and is empty then', async () => {
    const onAdd = jest.fn(() => Promise.resolve());
    show(onAdd);
    await userEvent.type(field(), 'https://a.example/tides{Enter}');
    await waitFor(() => expect(onAdd).toHaveBeenCalledTimes(1));
    expect(onAdd).toHaveBeenCalledWith(
      [{ link: 'https://a.example/tides', pasted: 'https://a.example/tides', repairs: [] }],
      [],
    );
    await waitFor(() => expect(field()).toHaveProperty('value', ''));
  });

  it('shows what was understood of several things, with what was repaired, before any is added', async () => {
    const onAdd = jest.fn(() => Promise.resolve());
    show(onAdd);
    await userEvent.click(field());
    await userEvent.paste('https://https://a.example/tides\nWhat lives under the seaweed?');
    const items = within(await review()).getAllByRole('listitem');
    expect(items.some((item) => item.textContent?.includes('https://a.example/tides'))).toBe(true);
    expect(screen.getByText(/^Corrected:/)).toBeTruthy();
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

  it('shows one item before it is added: what it is, and a way to change it', async () => {
    const onAdd = jest.fn(() => Promise.resolve());
    show(onAdd);
    await userEvent.click(field());
    await userEvent.paste('Worksheet: htps://a.example/tides');
    expect((await review()).textContent).toMatch(/Worksheet.*https:\/\/a\.example\/tides.*Corrected/);
    await userEvent.click(screen.getByRole('button', { name: 'Change' }));
    await userEvent.clear(screen.getByRole('textbox', { name: 'Title' }));
    await userEvent.type(screen.getByRole('textbox', { name: 'Title' }), 'Tides');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(onAdd).toHaveBeenCalledWith(
      [expect.objectContaining({ link: 'https://a.example/tides', title: 'Tides' })],
      [],
    );
  });

  it('asks where two things may be meant, and adds nothing before the answer', async () => {
    const onAdd = jest.fn(() => Promise.resolve());
    show(onAdd);
    await userEvent.click(field());
    await userEvent.paste('Please open https://a.example/tides and read it');
    const link = await screen.findByRole('button', { name: /^Link/ });
    await userEvent.type(field(), '{Enter}');
    expect(onAdd).not.toHaveBeenCalled();
    expect(document.activeElement).toBe(link);
    await userEvent.click(screen.getByRole('button', { name: /^These words/ }));
    expect(screen.getByRole('button', { name: 'Choose again' })).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(onAdd).toHaveBeenCalledWith(
      [expect.objectContaining({ words: 'Please open https://a.example/tides and read it' })],
      [],
    );
  });

  it('leaves out what is not wanted of a list', async () => {
    const onAdd = jest.fn(() => Promise.resolve());
    show(onAdd);
    await userEvent.click(field());
    await userEvent.paste('Hello Maren,\nhttps://a.example/tides');
    const [first] = within(await review()).getAllByRole('listitem');
    await userEvent.click(within(first as HTMLElement).getByRole('button', { name: 'Remove' }));
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(onAdd).toHaveBeenCalledWith([expect.objectContaining({ link: 'https://a.example/tides' })], []);
  });

  it('keeps what was typed where it could not be added, and says so', async () => {
    show(() => Promise.reject(new Error('the server is away')));
    await userEvent.type(field(), 'https://a.example/tides{Enter}');
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(field()).toHaveProperty('value', 'https://a.example/tides');
  });

  it('waits for the school’s own hosts: without them a link may be taken for something else', async () => {
    const onAdd = jest.fn(() => Promise.resolve());
    let tell = (_: readonly unknown[]): void => undefined;
    show(onAdd, [], [], () => new Promise((resolve) => (tell = resolve)));
    await userEvent.type(field(), 'https://a.example/tides{Enter}');
    await review();
    expect(document.querySelector('[aria-busy=true]')).not.toBeNull();
    expect(onAdd).not.toHaveBeenCalled();
    tell([]);
    await waitFor(() => expect(onAdd).toHaveBeenCalledTimes(1));
  });

  it('says which link is here already', async () => {
    show(undefined, ['https://a.example/tides']);
    await userEvent.click(field());
    await userEvent.paste('https://a.example/tides\nhttps://a.example/shells');
    const [first, second] = within(await review()).getAllByRole('listitem');
    expect(first?.textContent).toMatch(/already/i);
    expect(second?.textContent).not.toMatch(/already/i);
  });

  describe('a link that is on the shelf already', () => {
    const match = { link: 'https://a.example/tides', materialId: 'm1', title: 'Tide tables' };

    it('is used, not added again', async () => {
      const onAdd = jest.fn(() => Promise.resolve());
      show(onAdd, [], [match]);
      await userEvent.type(field(), 'https://a.example/tides');
      expect(await screen.findByText(/Already on your shelf as/)).toBeTruthy();
      expect(screen.getByRole('link', { name: 'Tide tables' })).toBeTruthy();
      await userEvent.click(screen.getByRole('button', { name: 'Use that' }));
      await waitFor(() => expect(onAdd).toHaveBeenCalledWith([], ['m1']));
    });

    it('is shown first where Enter comes before it is known', async () => {
      const onAdd = jest.fn(() => Promise.resolve());
      let tell = (_: readonly ShelfMatch[]): void => undefined;
      show(onAdd, [], () => new Promise<readonly ShelfMatch[]>((resolve) => (tell = resolve)));
      await userEvent.type(field(), 'https://a.example/tides{Enter}');
      tell([match]);
      expect(await screen.findByText(/Already on your shelf as/)).toBeTruthy();
      expect(onAdd).not.toHaveBeenCalled();
    });

    it('is added anyway where that is wanted', async () => {
      const onAdd = jest.fn(() => Promise.resolve());
      show(onAdd, [], [match]);
      await userEvent.type(field(), 'https://a.example/tides');
      await userEvent.click(await screen.findByRole('checkbox', { name: 'Add again' }));
      await userEvent.click(screen.getByRole('button', { name: 'Add' }));
      await waitFor(() =>
        expect(onAdd).toHaveBeenCalledWith([expect.objectContaining({ link: 'https://a.example/tides' })], []),
      );
    });
  });
});
