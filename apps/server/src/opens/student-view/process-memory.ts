/** Memory of a process and of all that it started, from Linux' /proc (proc(5)). */
import { readdirSync, readFileSync } from 'node:fs';

const pageBytes = 4096;

/** Bytes that only they hold: what is shared with others (programs, fonts) is left out. 0 where it can't be told. */
export function privateBytes(pid: number): number {
  const children = childrenByParent();
  let [sum, waiting] = [0, [pid]];
  while (waiting.length > 0) {
    sum += waiting.reduce((bytes, each) => bytes + ownBytes(each), 0);
    waiting = waiting.flatMap((each) => children.get(each) ?? []);
  }
  return sum;
}

function ownBytes(pid: number): number {
  const [, resident = 0, shared = 0] = read(`/proc/${pid}/statm`).split(' ').map(Number);
  return Math.max(0, resident - shared) * pageBytes;
}

function childrenByParent(): ReadonlyMap<number, readonly number[]> {
  const children = new Map<number, number[]>();
  for (const name of readdirSync('/proc')) {
    if (!/^\d+$/.test(name)) continue;
    // pid (name) state ppid: the name may hold anything, so the last bracket counts.
    const parent = Number(read(`/proc/${name}/stat`).split(') ').at(-1)?.split(' ')[1]);
    if (parent > 0) children.set(parent, [...(children.get(parent) ?? []), Number(name)]);
  }
  return children;
}

/** '' for a process that has ended meanwhile. */
function read(file: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    return '';
  }
}
