/** @jest-environment jsdom */
import type { SheetChoices, SheetTemplateView } from '@hapset/contract';
import { plainChoices } from '@hapset/core';
import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderPage } from '../../test/render-page.js';
import { SheetOptions } from './sheet-options.js';

const templates = [
  { id: 't1', name: 'Sea blue', kind: 'poster', usual: true },
  { id: 't2', name: 'Cards only', kind: 'small-card', usual: false },
] as unknown as readonly SheetTemplateView[];

describe('the options of the composer', () => {
  function show(change: Partial<SheetChoices> = {}): { readonly last: () => SheetChoices } {
    const choices = { ...plainChoices(change.kind ?? 'poster', 'A4'), ...change };
    const onChange = jest.fn<void, [SheetChoices]>();
    renderPage(
      <SheetOptions choices={choices} templates={templates} onChange={onChange} onNewTemplate={() => undefined} />,
    );
    return { last: () => onChange.mock.lastCall?.[0] ?? choices };
  }
  const select = (name: string): HTMLSelectElement => screen.getByRole('combobox', { name });

  it('offer what the kind leaves to choose, and no more', () => {
    show();
    expect(screen.queryByRole('combobox', { name: 'Per page' })).toBeNull();
    expect(screen.queryByRole('spinbutton', { name: 'Copies of each' })).toBeNull();
    expect(screen.queryByRole('checkbox', { name: 'Picture of what opens' })).toBeNull();
    expect([...select('Template').options].map(({ text }) => text)).toEqual(['Sea blue (default)', 'Sea blue']);
  });

  it('offer number, order, copies and backs where the kind has them', () => {
    show({ kind: 'small-card' });
    expect(select('Per page').options.length).toBeGreaterThan(1);
    expect(screen.getByRole('spinbutton', { name: 'Copies of each' })).toBeTruthy();
    expect(screen.getByRole('checkbox', { name: 'Print backs (both sides)' })).toBeTruthy();
    expect(screen.queryByRole('checkbox', { name: 'Picture of what opens' })).toBeNull();
    expect([...select('Template').options].map(({ text }) => text)).toEqual(['Plain (default)', 'Cards only']);
  });

  it('offer the designs of the kind, and a picture where the design has room for one', async () => {
    const { last } = show({ layout: 'picture-first' });
    expect(screen.getByRole('checkbox', { name: 'Picture of what opens' })).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'Two languages' }));
    expect(last().layout).toBe('two-languages');
  });

  it('have phrases in one language or two, never the same twice', async () => {
    const { last } = show({ languages: ['de'] });
    expect([...select('Second language').options].map(({ text }) => text)).not.toContain('Deutsch');
    await userEvent.selectOptions(select('Second language'), 'العربية');
    expect(last().languages).toEqual(['de', 'ar']);
    const both = show({ languages: ['de', 'ar'] });
    await userEvent.selectOptions(screen.getAllByRole('combobox', { name: 'Phrases in' })[1] as HTMLElement, 'العربية');
    expect(both.last().languages).toEqual(['ar']);
  });

  it('have sizes of labels by their number, and figures with a comma', async () => {
    const { last } = show({ kind: 'label' });
    await userEvent.selectOptions(select('Size'), '21 labels, 70 × 42.4 mm');
    expect(last().labels).toMatchObject({ columns: 3, rows: 7, widthMm: 70, heightMm: 42.4 });
    fireEvent.change(screen.getByRole('textbox', { name: 'Label width (mm)' }), { target: { value: '63,5' } });
    expect(last().labels.widthMm).toBe(63.5);
  });

  it('keep paper and way round for another kind, and take the rest as it is usual', async () => {
    const { last } = show({ paper: 'A3', lying: true, distanceM: 3, templateId: 't1' });
    await userEvent.click(screen.getByRole('radio', { name: 'Handout' }));
    expect(last()).toMatchObject({ kind: 'handout', paper: 'A3', lying: true, distanceM: null, templateId: null });
  });

  it('take a distance between the limits alone', () => {
    const { last } = show();
    const distance = screen.getByRole('spinbutton', { name: 'Read from (m)' });
    for (const [typed, metres] of [
      ['2.5', 2.5],
      ['0', null],
      ['9999', null],
      ['', null],
    ] as const) {
      fireEvent.change(distance, { target: { value: typed } });
      if (typed !== '') expect(last().distanceM).toBe(metres);
    }
  });

  it('leave fields in their order, whatever is ticked last', async () => {
    const { last } = show({ fields: ['title', 'address'] });
    await userEvent.click(screen.getByRole('checkbox', { name: 'What to do' }));
    expect(last().fields).toEqual(['title', 'instruction', 'address']);
  });
});
