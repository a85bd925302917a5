import { LiveSource, type Source } from './live-source.js';

function scene() {
  const sources: { fire: (name: string, data?: string) => void; readyState: number; closed: boolean }[] = [];
  const heard: string[] = [];
  const open = (): Source => {
    const listeners: [string, (event: Event) => void][] = [];
    const source = {
      readyState: 1,
      closed: false,
      addEventListener: (name: string, listener: (event: Event) => void) => void listeners.push([name, listener]),
      close: () => (source.closed = true),
      fire: (name: string, data = '') => {
        for (const [of, listener] of listeners) if (of === name) listener({ data } as unknown as Event);
      },
    };
    sources.push(source);
    return source as unknown as Source;
  };
  const live = new LiveSource({
    open,
    events: { check: (data) => heard.push(data) },
    onLost: () => heard.push('lost'),
    onReturn: () => heard.push('back'),
  });
  live.start();
  return { sources, heard, live };
}

describe('live events', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('are heard, and a connection that comes back by itself is said once', () => {
    const { sources, heard } = scene();
    sources[0]?.fire('open');
    sources[0]?.fire('check', 'one');
    sources[0]?.fire('error');
    sources[0]?.fire('error');
    sources[0]?.fire('open');
    expect([heard, sources.length]).toEqual([['one', 'lost', 'back'], 1]);
  });

  it('go on after an answer that ended them', () => {
    const { sources, heard } = scene();
    const [first] = sources;
    if (first) first.readyState = 2;
    first?.fire('error');
    jest.advanceTimersByTime(5000);
    sources[1]?.fire('open');
    sources[1]?.fire('check', 'two');
    expect(heard).toEqual(['lost', 'back', 'two']);
  });

  it('may have been missed where the first connection took long', () => {
    const { sources, heard } = scene();
    jest.advanceTimersByTime(6000);
    sources[0]?.fire('open');
    expect(heard).toEqual(['back']);
  });

  it('end with the page', () => {
    const { sources, live } = scene();
    const [first] = sources;
    if (first) first.readyState = 2;
    first?.fire('error');
    live.stop();
    jest.advanceTimersByTime(60_000);
    expect([sources.length, first?.closed]).toEqual([1, true]);
  });
});
