/** @jest-environment jsdom */
import type { RosterComparisonView } from '@hapset/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Problem, renderPage, serverAnswers, type Answers, type Sent } from '../../test/render-page.js';
import { ImportRosterPage } from './import-page.js';

const comparison: RosterComparisonView = {
  id: 'c1',
  added: 2,
  changed: 0,
  same: 0,
  leftOut: 1,
  someAdded: ['Ann Lee, 6', 'Bo Dam, 6'],
  someChanged: [],
  someLeftOut: ['Cy Fen, 6'],
  kept: 0,
  someKept: [],
};
const cells = 'Id\tFirst name\tLast name\tClass\n001\tAnn\tLee\t6\n002\tBo\tDam\t6';

describe('importing a roster', () => {
  function show(more: Answers = {}, role = 'office'): readonly Sent[] {
    const sent = serverAnswers({
      'GET /api/session': { accountId: 'a', name: 'Hesper', email: 'h@a.example', role },
      'GET /api/roster-imports': [],
      'POST /api/roster-comparisons': comparison,
      'POST /api/roster-imports': { added: 2, changed: 0, left: 0 },
      ...more,
    });
    renderPage(<ImportRosterPage />);
    return sent;
  }
  const paste = async (text = cells): Promise<void> => {
    const field = await screen.findByRole('textbox', { name: 'Paste cells here' });
    fireEvent.paste(field, { clipboardData: { getData: () => text, files: [] } });
  };
  const bodies = (sent: readonly Sent[], what: string): readonly unknown[] =>
    sent.filter((one) => one.what === what).map(({ body }) => body);

  it('shows what would change, and sends the students once', async () => {
    const sent = show();
    await paste();
    await userEvent.click(await screen.findByRole('button', { name: 'Import 2 students' }));
    expect(await screen.findByText('2 added, 0 changed, 0 left the school.')).toBeTruthy();
    expect(bodies(sent, 'POST /api/roster-comparisons')).toEqual([
      {
        students: [
          { schoolId: '001', prefix: '', given: 'Ann', middle: '', family: 'Lee', className: '6', year: '' },
          { schoolId: '002', prefix: '', given: 'Bo', middle: '', family: 'Dam', className: '6', year: '' },
        ],
      },
    ]);
    expect(bodies(sent, 'POST /api/roster-imports')).toEqual([
      { rosterComparisonId: 'c1', leave: false, fileName: 'Pasted cells' },
    ]);
  });

  it('counts people: no head, no empty line at the end', async () => {
    show();
    await paste(`${cells}\n\n`);
    expect(await screen.findByText('2 students')).toBeTruthy();
  });

  it('lets nobody leave the school but on purpose', async () => {
    const sent = show();
    await paste();
    await userEvent.click(
      await screen.findByRole('checkbox', { name: /^Mark students who are no longer in it \(1\)/ }),
    );
    await userEvent.click(screen.getByRole('button', { name: 'Import 2 students' }));
    await waitFor(() => expect(bodies(sent, 'POST /api/roster-imports')).toMatchObject([{ leave: true }]));
  });

  it('compares again where the server does not know the comparison any more', async () => {
    const sent = show({ 'POST /api/roster-imports': () => new Problem(404, 'not-found') });
    await paste();
    await userEvent.click(await screen.findByRole('button', { name: 'Import 2 students' }));
    await waitFor(() => expect(bodies(sent, 'POST /api/roster-comparisons')).toHaveLength(2));
    expect(await screen.findByRole('alert')).toBeTruthy();
  });

  it('asks for the names where no column holds them, and changes nothing', async () => {
    const sent = show();
    await paste('Id\tClass\n001\t6');
    expect(await screen.findByText('Choose the column that holds the names.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Import/ })).toBeNull();
    expect(bodies(sent, 'POST /api/roster-comparisons')).toEqual([]);
  });

  it('is the office’s', async () => {
    show({}, 'teacher');
    expect(await screen.findByText('Rosters come from the office')).toBeTruthy();
    expect(screen.queryByRole('textbox', { name: 'Paste cells here' })).toBeNull();
  });
});
