import { plainChoices, plainSheetDesign } from '@hapset/core';
import { noTexts, type SheetOrder } from './sheet-order.js';
import { SheetWorkers, takeTurn } from './sheet-workers.js';

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

describe('drawings that are stopped', () => {
  const content = {
    payload: 'tides',
    title: 'Tides',
    instruction: '',
    address: null,
    more: { texts: noTexts, neededMm: 20, rehearsedMm: 20, picture: null },
  };
  const order: SheetOrder = {
    setup: {
      ...plainChoices('poster', 'A4'),
      backs: null,
      design: plainSheetDesign('poster'),
      printerMarginMm: 5,
      head: { title: '', about: '' },
    },
    contents: Array.from({ length: 30 }, () => content),
    han: 'sc',
    pictures: {},
    title: '',
    madeAt: 0,
  };

  it('end where they are, and where they wait for their turn', async () => {
    const workers = new SheetWorkers();
    const [running, waiting] = [new AbortController(), new AbortController()];
    const first = workers.ask(
      'a',
      { kind: 'pdf', order },
      { long: true, stop: running.signal, onPage: () => running.abort() },
    );
    const second = workers.ask('a', { kind: 'pdf', order }, { long: true, stop: waiting.signal });
    waiting.abort();
    await expect(second).rejects.toThrow('stopped');
    await expect(first).rejects.toThrow('stopped');
    await expect(workers.ask('a', { kind: 'pdf', order }, { stop: waiting.signal })).rejects.toThrow('stopped');
    expect(await workers.ask('a', { kind: 'notes', order })).toMatchObject({ pages: 30 });
    await workers.beforeApplicationShutdown();
  });
});
