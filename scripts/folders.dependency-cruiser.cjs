// Nouns inside an area use each other in one direction too. Looked at by folder, without tests, which may use anything.
const { options } = require('../.dependency-cruiser.cjs');

module.exports = {
  forbidden: [{ name: 'nouns-in-one-direction', severity: 'error', scope: 'folder', from: {}, to: { circular: true } }],
  options: { ...options, exclude: { path: '\\.spec\\.tsx?$|/src/test/' } },
};
