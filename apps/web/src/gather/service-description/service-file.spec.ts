import { readServiceFile } from './service-file.js';

const file = (text: string, size = text.length): Pick<File, 'size' | 'text'> => ({
  size,
  text: () => Promise.resolve(text),
});

describe('a file of descriptions', () => {
  it('holds one or several', async () => {
    expect(await readServiceFile(file('{"id":"a","name":"A"}'))).toEqual({
      ok: true,
      descriptions: [{ id: 'a', name: 'A' }],
    });
    expect(await readServiceFile(file('[{"id":"a","name":"A"},{"id":"b","name":"B"}]'))).toMatchObject({
      ok: true,
      descriptions: [{ id: 'a' }, { id: 'b' }],
    });
  });
  it('of an earlier version is read as well', async () => {
    expect(await readServiceFile(file('{"id":"a","name":"A","mending":[]}'))).toEqual({
      ok: true,
      descriptions: [{ id: 'a', name: 'A', fixes: [] }],
    });
    expect(await readServiceFile(file('{"id":"a","name":"A","mending":[],"fixes":[1]}'))).toEqual({
      ok: true,
      descriptions: [{ id: 'a', name: 'A', mending: [], fixes: [1] }],
    });
  });
  it.each([
    ['{"id":', 'not-json'],
    ['[]', 'no-description'],
    ['"a"', 'no-description'],
    ['[{"id":"a","name":"A"},{"id":7,"name":"B"}]', 'no-description'],
  ])('%s is not one', async (text, problem) =>
    expect(await readServiceFile(file(text))).toEqual({ ok: false, problem }),
  );
  it('is not read at all when it is far too large', async () =>
    expect(await readServiceFile(file('{}', 3_000_000))).toEqual({ ok: false, problem: 'too-large' }));
});
