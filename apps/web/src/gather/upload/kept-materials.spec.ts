import type { FileView } from '@hapset/contract';
import { titleFromName } from '@hapset/core';
import { keptMaterials } from './kept-materials.js';

const file = (id: string, name: string): FileView => ({
  id,
  name,
  media: 'picture',
  contentType: 'image/png',
  sizeBytes: 1,
  widthPx: 1,
  heightPx: 1,
  address: `/k/${id}`,
  variants: [],
  usedIn: [],
  version: 1,
  createdAt: '',
});

describe('kept files as materials', () => {
  it('are one each, or one set', () => {
    const files = [file('a', 'rock_pool.png'), file('b', 'crab.png')];
    expect(keptMaterials(files, false)).toMatchObject([
      { kept: { kind: 'file', fileId: 'a' }, title: 'Rock pool' },
      { kept: { kind: 'file', fileId: 'b' }, title: 'Crab' },
    ]);
    expect(keptMaterials(files, true)).toMatchObject([
      { kept: { kind: 'picture-set', pictures: [{ fileId: 'a' }, { fileId: 'b' }] }, title: 'Rock pool' },
    ]);
    expect(keptMaterials([], true)).toEqual([]);
  });
  it.each([
    ['tide_tables-2.pdf', 'Tide tables 2'],
    ['Übung.docx', 'Übung'],
    ['.png', '.png'],
    ['no ending', 'No ending'],
  ])('%s is called %s', (name, title) => expect(titleFromName(name)).toBe(title));
});
