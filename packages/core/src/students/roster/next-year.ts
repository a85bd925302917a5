/** What classes are called a school year later. */

/** First classes of a school up to its last, as most countries count. */
const lastYear = 13;
const roman = ['I', 'II', 'III', 'IV', 'V', 'VI', 'VII', 'VIII', 'IX', 'X', 'XI', 'XII', 'XIII'];
/** "6e A", "5ème": these count down to 3. */
const downwards = /^([3-6])(?=(?:e|è|ème|eme|ᵉ)(?![\p{L}\p{N}]))/u;
const romanFirst = /^(?:X{0,1}(?:IX|IV|V?I{1,3}|V)|XI{0,3}|X)(?![\p{L}\p{N}])/u;

/** Where the number of a name is, and what it is. */
interface Level {
  readonly written: string;
  readonly at: number;
  /** Later years have a larger one. */
  readonly level: number;
  readonly next: string;
}

/** Null for names without a number of a year: "Kestrel". */
function levelOf(name: string): Level | null {
  const down = downwards.exec(name)?.[1];
  if (down !== undefined) return { written: down, at: 0, level: 13 - Number(down), next: String(Number(down) - 1) };
  const romanWritten = romanFirst.exec(name)?.[0];
  if (romanWritten !== undefined && roman.includes(romanWritten)) {
    const level = roman.indexOf(romanWritten) + 1;
    return { written: romanWritten, at: 0, level, next: roman[level] ?? romanWritten };
  }
  const digits = /(?<!\d)\d{1,2}(?!\d)/u.exec(name);
  const level = Number(digits?.[0]);
  if (!digits || level < 1 || level > lastYear) return null;
  return { written: digits[0], at: digits.index, level, next: String(level + 1).padStart(digits[0].length, '0') };
}

/** @returns the name a school year later: "7 Kestrel" for "6 Kestrel", "IX-A", "5e B"; the same where it has no number */
export function nextYearName(name: string): string {
  const level = levelOf(name);
  return level === null
    ? name
    : `${name.slice(0, level.at)}${level.next}${name.slice(level.at + level.written.length)}`;
}

/** What happens to a class at the end of a year. */
export interface YearEndMove {
  readonly className: string;
  /** What the class is called then; null where its students leave the school. */
  readonly to: string | null;
}

/** @param classNames of all students @returns the classes of the last year leave, the others move up; in the order that was given */
export function proposeYearEnd(classNames: readonly string[]): readonly YearEndMove[] {
  const levels = classNames.map((name) => levelOf(name)?.level ?? null);
  const known = levels.filter((level) => level !== null);
  const last = new Set(known).size > 1 ? Math.max(...known) : null;
  return classNames.map((className, index) => ({
    className,
    to: last !== null && levels[index] === last ? null : nextYearName(className),
  }));
}
