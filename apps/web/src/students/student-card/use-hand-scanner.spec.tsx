/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import type { ReactElement } from 'react';
import { LineInput } from '../../platform/design/inputs.js';
import { hearKey, useHandScanner } from './use-hand-scanner.js';

/** What is said by keys that come so many milliseconds one after the other. */
function say(text: string, gapMs: number, enterGapMs = gapMs): string | null {
  let typed = { text: '', from: 0, to: 0 };
  let timeStamp = 1000;
  for (const key of text) {
    typed = hearKey(typed, { key, timeStamp }).typed;
    timeStamp += gapMs;
  }
  return hearKey(typed, { key: 'Enter', timeStamp: timeStamp - gapMs + enterGapMs }).said;
}

describe('a scanner in the hand', () => {
  it('is told from a person by its speed', () => {
    expect(say('HAP-7QK2', 8)).toBe('HAP-7QK2');
    expect(say('HAP-7QK2', 120)).toBeNull();
    expect(say('HAP-7QK2', 8, 900)).toBeNull();
    expect(say('abc', 8)).toBeNull();
  });

  it('begins again after a pause, and does not hear Shift', () => {
    let { typed } = hearKey({ text: '', from: 0, to: 0 }, { key: 'x', timeStamp: 0 });
    for (const [index, key] of ['Shift', 'A', 'B', 'C', 'D'].entries())
      ({ typed } = hearKey(typed, { key, timeStamp: 5000 + index * 5 }));
    expect(hearKey(typed, { key: 'Enter', timeStamp: 5025 }).said).toBe('ABCD');
  });

  it('is heard wherever the page is, before any field', () => {
    const said: string[] = [];
    const sent = jest.fn((event: { preventDefault: () => void }) => event.preventDefault());
    function Page(): ReactElement {
      useHandScanner((text) => said.push(text));
      return (
        <form onSubmit={sent}>
          <LineInput aria-label="field" />
        </form>
      );
    }
    render(<Page />);
    const keys = (target: Element): void => {
      for (const key of [...'HAP7', 'Enter']) fireEvent.keyDown(target, { key });
    };
    keys(document.body);
    keys(screen.getByLabelText('field'));
    expect(said).toEqual(['HAP7', 'HAP7']);
    fireEvent.keyDown(document.body, { key: 'v', ctrlKey: true });
    for (const key of ['a', 'Enter']) fireEvent.keyDown(document.body, { key });
    expect(said).toHaveLength(2);
  });
});
