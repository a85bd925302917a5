/** The one entry of the core: what the server, the web application and the readers may use. */
export * from './platform/index.js';
export * from './school/index.js';
export * from './gather/index.js';
export * from './students/index.js';
export * from './code/index.js';
export * from './opens/index.js';
export * from './reads/index.js';
export * from './paper/index.js';
export * from './overview/index.js';
