import type { Station } from './station.entity.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import type { LessonRecord } from '../lesson/lesson-record.js';

/** Where a material is used: as a station of a lesson, or on its own. */
export interface Place {
  readonly material: MaterialRecord;
  readonly station: Station | null;
  readonly lesson: LessonRecord | null;
  /** The station's number among those of its lesson, from 1; null outside a lesson. */
  readonly position: number | null;
}

/** A material outside every lesson. */
export function placeAlone(material: MaterialRecord): Place {
  return { material, station: null, lesson: null, position: null };
}
