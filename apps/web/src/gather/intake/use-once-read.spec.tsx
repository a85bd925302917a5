/** @jest-environment jsdom */
import { renderHook } from '@testing-library/react';
import { useOnceRead } from './use-once-read.js';

describe('adding once everything is read', () => {
  function start(reading: boolean) {
    const act = jest.fn();
    const hook = renderHook(({ isReading, text }) => useOnceRead(isReading, text, act), {
      initialProps: { isReading: reading, text: 'a' },
    });
    return { act, hook };
  }

  it('is at once where nothing is left to read', () => {
    const { act, hook } = start(false);
    hook.result.current();
    expect(act).toHaveBeenCalledTimes(1);
  });

  it('waits while it is read, and is done once', () => {
    const { act, hook } = start(true);
    hook.result.current();
    hook.result.current();
    expect(act).not.toHaveBeenCalled();
    hook.rerender({ isReading: false, text: 'a' });
    hook.rerender({ isReading: true, text: 'a' });
    hook.rerender({ isReading: false, text: 'a' });
    expect(act).toHaveBeenCalledTimes(1);
  });

  it('is not done to another text than it was asked for', () => {
    const { act, hook } = start(true);
    hook.result.current();
    hook.rerender({ isReading: true, text: 'ab' });
    hook.rerender({ isReading: false, text: 'ab' });
    expect(act).not.toHaveBeenCalled();
  });
});
