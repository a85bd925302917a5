import type { Logger } from 'pino';

export const LOGGER = Symbol('logger');
export type AppLogger = Logger;
