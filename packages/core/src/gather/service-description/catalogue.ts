/**
 * The school's descriptions, ready for use: expressions are compiled once, and a description that can't be used is
 * named and left out, so that it spoils nothing for the others.
 */
import { matchPath } from './address-path.js';
import type { AddressDescription, ServiceDescription, WallDescription } from './description.js';
import { descriptionProblems, type DescriptionProblem } from './description-problems.js';
import type { CompilePattern } from './pattern.js';

/** The school's services, ready to be looked up. */
export interface ServiceCatalogue {
  readonly services: readonly KnownService[];
  readonly leftOut: readonly LeftOutService[];
}

/** A described service, its patterns compiled. */
export interface KnownService {
  readonly description: ServiceDescription;
  readonly addresses: readonly KnownAddress[];
  readonly walls: readonly KnownWall[];
}

/** A described address, its pattern compiled. */
export interface KnownAddress {
  readonly address: AddressDescription;
  /** The named parts of an address that fits; null for one that does not. */
  readonly match: (path: string, query: string) => Readonly<Record<string, string>> | null;
}

/** A described wall, its patterns compiled. */
export interface KnownWall {
  readonly wall: WallDescription;
  /** Is its expression found in the text? True where it has none. */
  readonly matches: (text: string) => boolean;
}

/** A description that can't be used, and why. */
export interface LeftOutService {
  readonly id: string;
  readonly name: string;
  readonly problems: readonly DescriptionProblem[];
}

/** Without any service. */
export const emptyCatalogue: ServiceCatalogue = { services: [], leftOut: [] };

/** Never throws: what can't be used is in `leftOut` with its problems. Descriptions must have the right shape. */
export function compileServices(
  descriptions: readonly ServiceDescription[],
  compile: CompilePattern,
): ServiceCatalogue {
  const services: KnownService[] = [];
  const leftOut: LeftOutService[] = [];
  for (const description of descriptions) {
    const problems = descriptionProblems(description, compile);
    if (problems.length > 0) leftOut.push({ id: description.id, name: description.name, problems });
    else services.push(known(description, compile));
  }
  return { services, leftOut };
}

/** True when any expression is in them: only then an engine for expressions is needed. */
export function needPatterns(descriptions: readonly ServiceDescription[]): boolean {
  return descriptions.some(({ addresses, walls }) =>
    [...addresses, ...walls].some(({ pattern }) => pattern !== undefined),
  );
}

function known(description: ServiceDescription, compile: CompilePattern): KnownService {
  return {
    description,
    addresses: description.addresses.map((address) => ({ address, match: matcherOf(address, compile) })),
    walls: description.walls.map((wall) => {
      const pattern = wall.pattern === undefined ? null : compile(wall.pattern);
      return { wall, matches: (text) => pattern === null || pattern.find(text) !== null };
    }),
  };
}

function matcherOf({ path = '', pattern }: AddressDescription, compile: CompilePattern): KnownAddress['match'] {
  if (pattern === undefined) return (given) => matchPath(path, given);
  const compiled = compile(pattern);
  return (given, query) => compiled.find(given + query);
}
