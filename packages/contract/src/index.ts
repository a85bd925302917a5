/** The JSON between server and web application. */
export * from './problem.js';
export * from './account.js';
export * from './school.js';
export * from './device.js';
export * from './school-class.js';
export * from './service.js';
export * from './file.js';
export * from './kept.js';
export * from './access-check.js';
export * from './material.js';
export * from './readiness.js';
export * from './lesson.js';
export * from './health.js';
export * from './symbol.js';
export * from './routes.js';
export * from './limits.js';
