/** What a description's shape alone can't tell: paths, expressions and templates that could never work. */
import { isAddressPath, namesIn } from './address-path.js';
import type { AddressDescription, ServiceDescription, WallDescription } from './description.js';
import type { CompilePattern } from './pattern.js';

/** Why a description can't be used. */
export const descriptionProblemReasons = [
  'not-readable',
  'missing',
  'unknown-field',
  'wrong-kind',
  'wrong-value',
  'too-long',
  'twice',
  'host-unusable',
  'no-host',
  'path-unusable',
  'path-or-pattern',
  'pattern-unusable',
  'mark-missing',
  'student-link-unusable',
  'part-unknown',
] as const;
/** One of them. */
export type DescriptionProblemReason = (typeof descriptionProblemReasons)[number];

/** Where in a description something is wrong. */
export interface DescriptionProblem {
  /** Where: "addresses.0.studentLink"; '' for the whole. */
  readonly path: string;
  readonly reason: DescriptionProblemReason;
  /** What is named by the reason: the value, a name, what the engine says. */
  readonly detail: string;
}

/** Problems of a description whose shape is right; none when it can be used. */
export function descriptionProblems(
  description: ServiceDescription,
  compile: CompilePattern,
): readonly DescriptionProblem[] {
  const { hosts, shorteners = [], addresses, walls } = description;
  return [
    ...(hosts.length + shorteners.length === 0 ? [{ path: 'hosts', reason: 'no-host' as const, detail: '' }] : []),
    ...hosts.flatMap((host, index) => hostProblems(host, `hosts.${index}`)),
    ...shorteners.flatMap((host, index) => hostProblems(host, `shorteners.${index}`)),
    ...addresses.flatMap((address, index) => addressProblems(address, `addresses.${index}`, compile)),
    ...walls.flatMap((wall, index) => wallProblems(wall, `walls.${index}`, compile)),
  ];
}

const hostPattern = /^(?:\*\.)?(?:[a-z0-9](?:[a-z0-9-]*[a-z0-9])?\.)*[a-z0-9](?:[a-z0-9-]*[a-z0-9])?$/i;

function hostProblems(host: string, path: string): readonly DescriptionProblem[] {
  return hostPattern.test(host) ? [] : [{ path, reason: 'host-unusable', detail: host }];
}

function addressProblems(
  { path, pattern, studentLink }: AddressDescription,
  where: string,
  compile: CompilePattern,
): readonly DescriptionProblem[] {
  if ((path === undefined) === (pattern === undefined)) return [{ path: where, reason: 'path-or-pattern', detail: '' }];
  if (path !== undefined && !isAddressPath(path))
    return [{ path: `${where}.path`, reason: 'path-unusable', detail: path }];
  const compiled =
    pattern === undefined
      ? { names: namesIn(path ?? ''), problems: [] }
      : patternProblems(pattern, `${where}.pattern`, compile);
  if (compiled.problems.length > 0 || studentLink === undefined) return compiled.problems;
  if (!studentLink.startsWith('/') || studentLink.startsWith('//') || /\s/.test(studentLink))
    return [{ path: `${where}.studentLink`, reason: 'student-link-unusable', detail: studentLink }];
  const unknown = namesIn(studentLink).filter((name) => !compiled.names.includes(name));
  return unknown.map((name) => ({ path: `${where}.studentLink`, reason: 'part-unknown', detail: name }));
}

function wallProblems(
  { host, words, pattern }: WallDescription,
  where: string,
  compile: CompilePattern,
): readonly DescriptionProblem[] {
  if (host === undefined && (words === undefined || words.length === 0) && pattern === undefined)
    return [{ path: where, reason: 'mark-missing', detail: '' }];
  return [
    ...(host === undefined ? [] : hostProblems(host, `${where}.host`)),
    ...(pattern === undefined ? [] : patternProblems(pattern, `${where}.pattern`, compile).problems),
  ];
}

function patternProblems(
  source: string,
  path: string,
  compile: CompilePattern,
): { names: readonly string[]; problems: readonly DescriptionProblem[] } {
  try {
    return { names: compile(source).names, problems: [] };
  } catch (error) {
    return {
      names: [],
      problems: [{ path, reason: 'pattern-unusable', detail: error instanceof Error ? error.message : '' }],
    };
  }
}
