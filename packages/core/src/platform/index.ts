/** What the core offers of `platform`. */
export { succeed, fail, unreachable, type Result } from './result.js';
export { pointsPerMm, radians } from './units.js';
export { hostNameOf, isLoopbackHost, isWebAddress, originOf, parseUrl } from './web-address.js';
export { instantOf } from './time/zoned.js';
export { worse } from './answer-state.js';
export { answerStates, type AnswerState } from './answer-state.js';
export { decodeText, findEncoding, textEncodings, type TextEncoding } from './text-encoding/text-encoding.js';
