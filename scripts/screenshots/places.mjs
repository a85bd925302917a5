// Where pictures go, and the stack of their own that they are taken from.
import { join } from 'node:path';
import { projectFolder, readSettings } from '../settings.mjs';

export const folder = join(projectFolder, 'docs/screenshots');
export const work = join(projectFolder, 'test-output/screenshots');
export const settings = readSettings({
  HAPSET_PORT: '4500',
  HAPSET_NEIGHBOURS_PORT: '4510',
  HAPSET_DATA: join(work, 'data'),
});
