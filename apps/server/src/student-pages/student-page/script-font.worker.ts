/** Makes one font of a few characters, and ends: a file of Chinese has five megabytes, and codes are answered meanwhile. */
import { parentPort, workerData } from 'node:worker_threads';
import subsetFont from 'subset-font';
import { fontBytes } from '../../code/typeface/faces.js';
import type { FontTask } from './script-fonts.js';

const { family, characters } = workerData as FontTask;
// The blank between two words is asked for as well.
const font = await subsetFont(fontBytes(`${family}-regular`), `${characters} `, { targetFormat: 'woff2' });
parentPort?.postMessage(font);
