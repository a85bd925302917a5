/** @jest-environment jsdom */
import { DndContext } from '@dnd-kit/core';
import { SortableContext } from '@dnd-kit/sortable';
import type { BenchRow } from '@hapset/contract';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderPage, serverAnswers, type Sent } from '../../test/render-page.js';
import { locked } from '../../test/sample-readiness.js';
import { BenchTableRow } from './bench-table-row.js';
import { RenameStation } from './rename-station.js';

/** As far as a row looks at it. */
const row = {
  stationId: 's1',
  position: 2,
  name: 'Tide tables',
  version: 4,
  code: null,
  material: { kind: 'document', at: { service: 'Cofferlane' } },
  readiness: {
    opens: locked,
    carries: { state: 'stop', carry: 'link', grain: null, modules: null, act: null, ignoredBy: [] },
    reads: { state: 'not-yet', leastReachM: null, distanceM: 2, devices: 0, fallShort: [], failed: [], look: [] },
    paper: { state: 'not-yet', sizeMm: null, changed: [] },
  },
} as unknown as BenchRow;

describe('a row of the bench', () => {
  const onMove = jest.fn();
  let sent: readonly Sent[];
  beforeEach(() => {
    onMove.mockReset();
    sent = serverAnswers({ 'PATCH /api/stations/s1': {}, 'DELETE /api/stations/s1': null });
    renderPage(
      <DndContext>
        <SortableContext items={['s1']}>
          <BenchTableRow lessonId="l1" row={row} last rehearsing={false} onMove={onMove} />
        </SortableContext>
      </DndContext>,
    );
  });
  const choose = async (entry: string): Promise<void> => {
    await userEvent.click(screen.getByRole('button', { name: 'More for Tide tables' }));
    await userEvent.click(await screen.findByRole('menuitem', { name: entry }));
  };

  it('answers the four questions, each with a way to where it is fixed', () => {
    const cells = screen.getAllByRole('cell');
    const ways = cells.flatMap((cell) =>
      within(cell)
        .queryAllByRole('link')
        .map((link) => link.getAttribute('href')),
    );
    const page = '/lessons/l1/stations/s1';
    expect(ways).toEqual([page, `${page}#opens`, `${page}#carries`, `${page}#reads`, `${page}#paper`]);
    expect(cells[1]?.textContent).toContain('Fix in 2 steps');
    expect(cells[2]?.textContent).toContain('Too long');
    expect(cells[3]?.textContent).toContain('Not rehearsed');
    expect(cells[4]?.textContent).toContain('Not made yet');
    expect(screen.getByText('Document · Cofferlane')).toBeTruthy();
  });

  it('is moved by its menu, not beyond the last place', async () => {
    await choose('Move up');
    expect(onMove).toHaveBeenCalledWith(-1);
    await userEvent.click(screen.getByRole('button', { name: 'More for Tide tables' }));
    expect((await screen.findByRole('menuitem', { name: 'Move down' })).getAttribute('aria-disabled')).toBe('true');
  });

  it('is removed with a way back', async () => {
    await choose('Remove');
    await waitFor(() => expect(sent.map(({ what }) => what)).toContain('DELETE /api/stations/s1'));
    expect(await screen.findByRole('button', { name: 'Undo' })).toBeTruthy();
  });
});

describe('the name of a station', () => {
  const onDone = jest.fn();
  let sent: readonly Sent[];
  beforeEach(() => {
    onDone.mockReset();
    sent = serverAnswers({ 'PATCH /api/stations/s1': {} });
    renderPage(<RenameStation row={row} onDone={onDone} />);
  });
  const name = (): HTMLElement => screen.getByRole('textbox', { name: 'Name of the station' });

  it('is changed under the version that was seen', async () => {
    await userEvent.clear(name());
    await userEvent.type(name(), ' Low tide {Enter}');
    await waitFor(() => expect(onDone).toHaveBeenCalledTimes(1));
    expect(sent[0]).toEqual({ what: 'PATCH /api/stations/s1', body: { version: 4, name: 'Low tide' } });
  });

  it('goes back to the material’s title where it is emptied', async () => {
    await userEvent.clear(name());
    await userEvent.type(name(), '{Enter}');
    await waitFor(() => expect(sent[0]?.body).toEqual({ version: 4, name: null }));
  });

  it('stays where somebody presses Escape', async () => {
    await userEvent.type(name(), 'x{Escape}');
    expect(onDone).toHaveBeenCalledTimes(1);
    expect(sent).toEqual([]);
  });
});
