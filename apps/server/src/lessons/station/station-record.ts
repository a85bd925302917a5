import type { Station } from './station.entity.js';

/** A station as the rest of the server sees it. */
export type StationRecord = Readonly<Omit<Station, 'lesson' | 'material'>>;
