// `npm run setup-link`: a new link by which the first administrator sets up a school that has none yet.
import { runConsoleCommand } from './console-command.mjs';

await runConsoleCommand('setup-link');
