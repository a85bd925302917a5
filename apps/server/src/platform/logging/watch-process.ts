/** What nobody caught: never silent. A rejection is counted and the server goes on; after an exception its state can't be trusted, so it ends and is started again. */
import type { AppLogger } from './logger.token.js';

export function watchProcess(watched: Pick<NodeJS.Process, 'on' | 'exit'>, logger: AppLogger): void {
  let rejections = 0;
  watched.on('unhandledRejection', (error: unknown) => {
    rejections += 1;
    logger.error({ err: error, unhandledRejections: rejections }, 'a rejection that nobody handled');
  });
  watched.on('uncaughtException', (error: unknown) => {
    logger.fatal({ err: error }, 'an exception that nobody caught');
    watched.exit(1);
  });
}
