import type { Material } from './material.entity.js';

/** A material as the rest of the server sees it. */
export type MaterialRecord = Readonly<Omit<Material, 'owner'>>;
