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
});
