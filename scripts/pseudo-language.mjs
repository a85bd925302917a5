// A made-up language, 40 % longer than English and with letters that no English text has: `npm test` looks at every
// page in it, and what is cut off or not in the catalogue is seen at once. It is made with every build, and no school
// chooses it. The tag is one of those that BCP 47 leaves to everybody (qaa to qtz).
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { projectFolder } from './settings.mjs';

export const pseudoLanguage = 'qps';
const languages = join(projectFolder, 'apps/web/languages');
const letters = { a: 'á', e: 'ë', i: 'ï', o: 'ö', u: 'ü', y: 'ÿ', A: 'Å', E: 'É', I: 'Î', O: 'Ø', U: 'Û' };
const longer = 0.4;

/** @param text of the catalogue. @returns it with other letters, its open places as they were, and 40 % longer */
export function pseudoText(text) {
  const changed = text.replace(/\{\{\w+\}\}|<\/?\d+\/?>|[aeiouyAEIOU]/g, (part) => letters[part] ?? part);
  const shown = text.replace(/\{\{\w+\}\}|<\/?\d+\/?>/g, '').length;
  const more = Math.ceil(shown * longer);
  if (more === 0) return changed;
  // In words, as another language has them.
  const filling = 'ömnï vërbá '
    .repeat(Math.ceil(more / 11))
    .slice(0, more)
    .trim();
  return `${changed} ${filling}`;
}

export function writePseudoLanguage() {
  const folder = join(languages, pseudoLanguage);
  mkdirSync(folder, { recursive: true });
  for (const file of readdirSync(join(languages, 'en'))) {
    const english = JSON.parse(readFileSync(join(languages, 'en', file), 'utf8'));
    const texts = Object.fromEntries(
      Object.entries(english).map(([group, entries]) => [
        group,
        Object.fromEntries(Object.entries(entries).map(([name, text]) => [name, pseudoText(text)])),
      ]),
    );
    writeFileSync(join(folder, file), JSON.stringify(texts));
  }
}
