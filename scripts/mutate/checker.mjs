// Lets StrykerJS try the mutants that were drawn alone: the others of the area are called compile errors, which it does not count.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { PluginKind, declareFactoryPlugin } from '@stryker-mutator/api/plugin';
import { draw } from './draw.mjs';

const { HAPSET_MUTATE_SEED: seed, HAPSET_MUTATE_COUNT: count, HAPSET_MUTATE_DRAWN: file } = process.env;
let known = null;

class DrawnOnly {
  init() {
    return Promise.resolve();
  }

  /** Asked once for all; the answer goes to a file, since others may check. */
  group(mutants) {
    const drawn = draw(mutants.map(asReported), Number(seed), Number(count));
    writeFileSync(file, JSON.stringify(drawn.map(({ id }) => id)));
    return Promise.resolve(mutants.map(({ id }) => [id]));
  }

  check(mutants) {
    known ??= new Set(existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : []);
    return Promise.resolve(
      Object.fromEntries(
        mutants.map(({ id }) => [
          id,
          known.has(id) ? { status: 'passed' } : { status: 'compileError', reason: 'not drawn' },
        ]),
      ),
    );
  }
}

/** Lines and columns as they are in reports: from 1. */
function asReported({ location: { start, end }, ...rest }) {
  const from1 = ({ line, column }) => ({ line: line + 1, column: column + 1 });
  return { ...rest, location: { start: from1(start), end: from1(end) } };
}

const create = () => new DrawnOnly();
create.inject = [];

export const strykerPlugins = [declareFactoryPlugin(PluginKind.Checker, 'drawn-only', create)];
