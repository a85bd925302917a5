/** What the teacher saw at the link, against what students get: the same first words prove that it is the same page. */
import type { Evidence, PageFacts } from './evidence.js';
import { isShort } from './find-marks.js';

/** Letters that are compared at a time; for any writing, and regardless of where lines break. */
const run = 8;
/** So many runs must be found, so that a title alone or a menu does not do. */
const leastRuns = 40;
/** Share of the runs: bars that only signed-in people see are among what the teacher saw. */
const leastShare = 0.5;

/** Whether students get what the teacher saw. Null where nothing is known of that, or too little to compare. */
export function showsWhatTeacherSaw(page: PageFacts, saw: string | undefined): boolean | null {
  const wanted = runsOf(saw ?? '');
  if (wanted.size < leastRuns) return null;
  const shown = runsOf(page.firstLines.join(' '));
  const found = [...wanted].filter((each) => shown.has(each)).length;
  return found >= leastRuns && found / wanted.size >= leastShare;
}

/** A short page that says nothing of what the teacher saw: perhaps a wall, in whatever words. Null where there is no such doubt. */
export function differsFromSeen({
  final,
  teacherSaw,
}: Evidence): { readonly saw: string; readonly got: string } | null {
  const page = final?.page;
  if (!page || teacherSaw === undefined || !isShort(page)) return null;
  if (showsWhatTeacherSaw(page, teacherSaw) !== false) return null;
  const lines = new Set([page.title, ...page.firstLines].filter((line) => line !== ''));
  return { saw: teacherSaw, got: [...lines].join(' · ') };
}

function runsOf(text: string): ReadonlySet<string> {
  const letters = [
    ...text
      .normalize('NFKC')
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, ''),
  ];
  return new Set(letters.slice(run - 1).map((_, at) => letters.slice(at, at + run).join('')));
}
