import type { FileView, NewMaterial } from '@hapset/contract';
import { titleFromName } from '@hapset/core';

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
