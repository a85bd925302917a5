import { UndoStack } from './undo-stack.js';

const action = (words: string, page = '/lessons/1') => ({ words, page, undo: () => undefined });

describe('what can be taken back', () => {
  it('is taken back from the last to the first, each page by itself', () => {
    const stack = new UndoStack();
    for (const each of [action('a'), action('b', '/shelf'), action('c')]) stack.add(each);
    expect(stack.takeLast('/lessons/1')?.words).toBe('c');
    expect(stack.takeLast('/shelf')?.words).toBe('b');
    expect(stack.takeLast('/lessons/1')?.words).toBe('a');
    expect(stack.takeLast('/lessons/1')).toBeNull();
  });

  it('leaves out what was taken back by its button, and what is long ago', () => {
    const stack = new UndoStack();
    const first = action('first');
    stack.add(first);
    stack.remove(first);
    expect(stack.takeLast(first.page)).toBeNull();
    for (let index = 0; index < 40; index += 1) stack.add(action(String(index)));
    const taken = Array.from({ length: 40 }, () => stack.takeLast('/lessons/1')?.words ?? null);
    expect([taken[0], taken[29], taken[30]]).toEqual(['39', '10', null]);
  });

  it('waits for everything that was sent, also for what the one before sent again', async () => {
    const stack = new UndoStack();
    const order: string[] = [];
    let answer = (): void => undefined;
    const sent = (): Promise<void> => new Promise((resolve) => (answer = resolve));
    const settle = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
    stack.changeSent(sent());
    stack.whenAnswered(() => {
      order.push('first');
      stack.changeSent(sent());
    });
    stack.whenAnswered(() => order.push('second'));
    await settle();
    expect(order).toEqual([]);
    answer();
    await settle();
    expect(order).toEqual(['first']);
    answer();
    await settle();
    expect([order, stack.isWaiting]).toEqual([['first', 'second'], false]);
  });
});
