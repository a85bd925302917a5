/** @jest-environment jsdom */
import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState, type ReactElement } from 'react';
import { useForm } from 'react-hook-form';
import { TextArea, TextField } from '../design/field.js';
import { DraftOffer } from './draft-offer.js';
import { Drafts, drafts } from './drafts.js';
import { useDraft, useFormDraft } from './use-draft.js';

const at = { accountId: 'maren', place: 'a place' };
const isText = (value: unknown): value is string => typeof value === 'string';

function Thought(): ReactElement {
  const [text, setText] = useState('');
  const draft = useDraft(at, text === '' ? null : text, isText);
  return (
    <>
      <DraftOffer draft={draft} onUse={setText} />
      <TextArea label="Thought" value={text} onChange={(event) => setText(event.target.value)} />
      <button onClick={draft.remove}>Save</button>
    </>
  );
}

function Form(): ReactElement {
  const form = useForm({ defaultValues: { name: '', place: 'Pier' } });
  const draft = useFormDraft(at, form);
  return (
    <form>
      <DraftOffer draft={draft} onUse={draft.use} />
      <TextField label="Name" {...form.register('name')} />
      <TextField label="Place" {...form.register('place')} />
    </form>
  );
}

describe('what is typed', () => {
  beforeEach(() => localStorage.clear());
  const offer = (): HTMLElement | null => screen.queryByText(/^You have an unsaved draft from /);

  it('is offered again after the page was left, and is in its field when it is used', async () => {
    const { unmount } = render(<Thought />);
    expect(offer()).toBeNull();
    await userEvent.type(screen.getByLabelText('Thought'), 'Low tide');
    unmount();
    render(<Thought />);
    expect(offer()).not.toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Use draft' }));
    expect(screen.getByLabelText<HTMLTextAreaElement>('Thought').value).toBe('Low tide');
    expect(offer()).toBeNull();
  });

  it('is kept before the page is closed', async () => {
    render(<Thought />);
    await userEvent.type(screen.getByLabelText('Thought'), 'Low tide');
    act(() => void window.dispatchEvent(new Event('pagehide')));
    expect(drafts.find('maren', 'a place')).toMatchObject([{ value: 'Low tide' }]);
  });

  it('is gone once it is saved, emptied or discarded', async () => {
    for (const end of ['Save', 'empty', 'Discard draft']) {
      drafts.save('maren', 'a place', 'Low tide');
      const { unmount } = render(<Thought />);
      if (end === 'empty') {
        await userEvent.type(screen.getByLabelText('Thought'), 'x');
        await userEvent.clear(screen.getByLabelText('Thought'));
      } else await userEvent.click(screen.getByRole('button', { name: end }));
      unmount();
      expect(drafts.find('maren', 'a place')).toEqual([]);
    }
  });

  it('is what was found as long as nothing else is typed', () => {
    drafts.save('maren', 'a place', 'Low tide');
    render(<Thought />).unmount();
    expect(drafts.find('maren', 'a place')).toMatchObject([{ value: 'Low tide' }]);
    drafts.save('maren', 'a place', { of: 'another version' });
    render(<Thought />);
    expect(offer()).toBeNull();
  });

  it('in another tab is offered after this one’s, and goes when it is used', async () => {
    const other = new Drafts(localStorage, () => Date.now() - 1000, 'other');
    other.save('maren', 'a place', 'High tide');
    drafts.save('maren', 'a place', 'Low tide');
    render(<Thought />);
    await userEvent.click(screen.getByRole('button', { name: 'Discard draft' }));
    await userEvent.click(screen.getByRole('button', { name: 'Use draft' }));
    expect(screen.getByLabelText<HTMLTextAreaElement>('Thought').value).toBe('High tide');
    expect(drafts.find('maren', 'a place')).toEqual([]);
  });

  it('in a form is offered field by field', async () => {
    const { unmount } = render(<Form />);
    await userEvent.type(screen.getByLabelText('Name'), 'Tides');
    unmount();
    render(<Form />);
    await userEvent.click(screen.getByRole('button', { name: 'Use draft' }));
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Tides');
    expect(screen.getByLabelText<HTMLInputElement>('Place').value).toBe('Pier');
  });
});
