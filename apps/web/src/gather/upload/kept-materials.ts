import type { FileView, NewMaterial } from '@hapset/contract';

/** Kept files -> new materials: one each, or all pictures as one set. Titles are the names without their endings. */
export function keptMaterials(files: readonly FileView[], asSet: boolean): readonly NewMaterial[] {
  const [first] = files;
  if (asSet && first) {
    return [
      {
        kept: { kind: 'picture-set', pictures: files.map(({ id }) => ({ fileId: id, caption: '', alternative: '' })) },
        title: titleFromName(first.name),
        pasted: first.name,
        repairs: [],
      },
    ];
  }
  return files.map(({ id, name }) => ({
    kept: { kind: 'file', fileId: id, transcript: '', captionsId: null },
    title: titleFromName(name),
    pasted: name,
    repairs: [],
  }));
}

/** "tide_tables-2.pdf" gives "Tide tables 2"; a name that is an ending alone stays. */
export function titleFromName(name: string): string {
  const words = name
    .replace(/\.[a-z0-9]{1,5}$/i, '')
    .replace(/[_-]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return words === '' ? name : words.charAt(0).toUpperCase() + words.slice(1);
}
