// `npm run create-administrator`: an administrator in an emergency, when nobody can sign in.
import { runConsoleCommand } from './console-command.mjs';

await runConsoleCommand('create-administrator');
