/** Whether an error says that the database can't be reached just now: nothing is wrong with what was asked, and it may work in a moment. */
import { isNativeError } from 'node:util/types';

const ofTheDriver = new Set([
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR',
  'PROTOCOL_ENQUEUE_AFTER_QUIT',
  'ER_SERVER_SHUTDOWN',
  'ER_NORMAL_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'ER_TOO_MANY_USER_CONNECTIONS',
  'ER_CONNECTION_KILLED',
  'ER_QUERY_INTERRUPTED',
]);
/** The system's own codes mean the database only where its driver calls them fatal: it does so for connections alone. */
const ofTheSystem = new Set(['ENOENT', 'EACCES', 'EPIPE', 'ECONNRESET', 'ECONNREFUSED', 'ETIMEDOUT']);

export function isDatabaseAway(error: unknown): boolean {
  if (!isNativeError(error)) return false;
  if (
    /^(?:Can't add new command when connection is in closed state|Pool is closed\.|Connection is closed\.)/.test(
      error.message,
    )
  )
    return true;
  const { code, fatal } = error as { readonly code?: unknown; readonly fatal?: unknown };
  return typeof code === 'string' && (ofTheDriver.has(code) || (ofTheSystem.has(code) && fatal === true));
}
