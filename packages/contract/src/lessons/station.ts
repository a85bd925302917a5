import type { NewMaterial } from '../gather/material.js';

/** New stations out of what was pasted, or a material that is on the shelf already. */
export interface AddStations {
  readonly items: readonly NewMaterial[];
  readonly materialIds: readonly string[];
}

/** All stations of a lesson in their new order. */
export interface OrderStations {
  /** All stations of the lesson in their new order. */
  readonly stationIds: readonly string[];
}

/** Fields without a value stay as they are; null takes back what was the station's own. */
export interface ChangeStation {
  readonly version: number;
  /** Null goes back to the material's title. */
  readonly name?: string | null;
  readonly instruction?: string | null;
  /** Metres; null for the lesson's. */
  readonly viewingDistanceM?: number | null;
  /** Side of the printed symbol, millimetres; null to have it computed. */
  readonly sizeMm?: number | null;
}

/** Stations that were added, in their order. */
export interface AddedView {
  readonly stationIds: readonly string[];
}

/** Where the material hangs: in a lesson as a station, or nowhere yet. */
export interface StationPlace {
  readonly stationId: string;
  readonly lessonId: string;
  readonly lessonName: string;
  /** From 1. */
  readonly position: number;
  /** The station's own name, null when it goes by the material's title. */
  readonly name: string | null;
  readonly instruction: string | null;
  readonly version: number;
}
