import { takeTurn } from './sheet-workers.js';

describe('whose drawing is next', () => {
  const request = (ownerId: string, long = false) => ({ ownerId, options: { long } });

  it('is somebody else’s where somebody else waits', () => {
    const waiting = [request('a'), request('a'), request('b')];
    expect(takeTurn(waiting, 'a', false)).toBe(waiting[2]);
    expect(takeTurn(waiting, 'b', false)).toBe(waiting[0]);
    expect(takeTurn([request('a')], 'a', false)).toMatchObject({ ownerId: 'a' });
    expect(takeTurn([], null, false)).toBeNull();
  });

  it('is nothing long beside something long, so that a thread is left to the others', () => {
    const waiting = [request('b', true), request('a')];
    expect(takeTurn(waiting, 'a', true)).toBe(waiting[1]);
    expect(takeTurn([request('b', true)], null, true)).toBeNull();
    expect(takeTurn([request('b', true)], null, false)).toMatchObject({ ownerId: 'b' });
  });
});
