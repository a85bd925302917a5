/** @param tag of BCP 47, "pl-PL". @returns the folder that fits best; null for English and for what there is no folder of */
export function folderOf(tag: string, folders: readonly string[]): string | null {
  return folders.find((folder) => folder === tag) ?? folders.find((folder) => folder === tag.split('-')[0]) ?? null;
}
