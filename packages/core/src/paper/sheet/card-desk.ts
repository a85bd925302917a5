/** Where students' cards are read: held to a device at a desk, behind tape or laminate. */
import { usualScene, type Scene } from '../../reads/optics/scene.js';
import { kindDistanceM } from './kinds.js';

/** From where a card is read at a desk, metres. */
export const deskDistanceM = kindDistanceM['student-card'] ?? 0.2;
/** The light of a desk, and a card in its sleeve. */
export const deskScene: Scene = { ...usualScene, surface: 'taped' };
