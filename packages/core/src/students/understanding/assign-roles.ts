/** The roles of all columns together: each at most once, and those that make the most sense of the table. */
import type { RoleScores } from './head-scores.js';
import { rosterRoles, type NamedRole, type RosterRole } from '../roster/roster-layout.js';

const named = rosterRoles.filter((role): role is NamedRole => role !== 'none');
const bit = Object.fromEntries(named.map((role, index) => [role, 1 << index])) as Readonly<Record<NamedRole, number>>;
const masks = 1 << named.length;
/** What a column has to score, so that it holds anything. */
const threshold = 0.6;

/** Roles with the sum of their scores. */
export interface Assignment {
  readonly roles: readonly RosterRole[];
  readonly score: number;
}

/**
 * @param scores of each role, for each column
 * @param forbidden a role that a column must not have, to see how much worse the next best is
 */
export function assignRoles(
  scores: readonly RoleScores[],
  forbidden: { readonly column: number; readonly role: RosterRole } | null = null,
): Assignment {
  let best = new Float64Array(masks).fill(-Infinity);
  best[0] = 0;
  // For each column and set of roles that are held by then, the role of that column.
  const chosen: Int8Array[] = [];
  scores.forEach((column, index) => {
    const isForbidden = (role: RosterRole): boolean => forbidden?.column === index && forbidden.role === role;
    const options = named.filter((role) => !isForbidden(role) && (column[role] ?? -1) > threshold);
    const next = isForbidden('none') ? new Float64Array(masks).fill(-Infinity) : Float64Array.from(best);
    const choice = new Int8Array(masks).fill(-1);
    for (const role of options)
      for (let mask = 0; mask < masks; mask += 1) {
        if (mask & bit[role]) continue;
        const sum = (best[mask] ?? 0) + (column[role] ?? 0);
        if (sum > (next[mask | bit[role]] ?? 0)) {
          next[mask | bit[role]] = sum;
          choice[mask | bit[role]] = named.indexOf(role);
        }
      }
    best = next;
    chosen.push(choice);
  });
  return trace(best, chosen);
}

function trace(best: Float64Array, chosen: readonly Int8Array[]): Assignment {
  let mask = 0;
  let score = -Infinity;
  best.forEach((sum, held) => {
    const total = sum + sense(held);
    if (total > score) [mask, score] = [held, total];
  });
  const roles: RosterRole[] = [];
  for (const choice of [...chosen].reverse()) {
    const role = named[choice[mask] ?? -1];
    roles.unshift(role ?? 'none');
    if (role) mask &= ~bit[role];
  }
  return { roles, score };
}

/** How much sense the roles make together: a student has a name, and a whole one needs no parts beside it. */
function sense(held: number): number {
  const wholes = countOf(held, ['name', 'familyFirst']);
  const parts = countOf(held, ['given', 'family']);
  const additions = countOf(held, ['prefix', 'middle']);
  if (wholes > 0) return wholes > 1 || parts + additions > 0 ? -Infinity : 0;
  if (parts === 0) return additions > 0 ? -7 : -3;
  return parts === 1 ? -2.5 : 0;
}

function countOf(held: number, roles: readonly NamedRole[]): number {
  return roles.filter((role) => (held & bit[role]) !== 0).length;
}
