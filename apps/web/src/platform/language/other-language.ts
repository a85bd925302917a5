/** The school's language where it is another one than English: one folder of `languages`, fetched before anything is shown. */
import { folderOf } from './folder-of.js';

const files = import.meta.glob<object>(['../../../languages/*/*.json', '!../../../languages/en/*.json'], {
  import: 'default',
});
/** Languages that there are texts in, beside English. */
export const folders: readonly string[] = [...new Set(Object.keys(files).map((path) => path.split('/').at(-2) ?? ''))];
const folder = folderOf(document.documentElement.lang, folders);

/** Texts by area; empty for English, which comes with each page. What a language lacks is shown in English. */
export const otherTexts: Readonly<Record<string, object>> = Object.fromEntries(
  await Promise.all(
    Object.entries(files)
      .filter(([path]) => path.split('/').at(-2) === folder)
      .map(async ([path, load]) => [path.split('/').at(-1)?.replace('.json', '') ?? '', await load()] as const),
  ),
);
