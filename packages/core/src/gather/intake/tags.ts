/** "shells, low tide" as tags: trimmed, each once, empty ones left out. */
export function readTags(text: string): readonly string[] {
  return [
    ...new Set(
      text
        .normalize('NFC')
        .split(/[,;]/)
        .map((tag) => tag.replace(/\s+/gu, ' ').trim())
        .filter((tag) => tag !== ''),
    ),
  ];
}
