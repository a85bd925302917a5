/** Where students' cards are read: held to a device at a desk, behind tape or laminate. */
import { usualScene, type Scene } from '../../reads/optics/scene.js';
import { kindDistanceM } from './kinds.js';

export const deskDistanceM = kindDistanceM['student-card'] ?? 0.2;
export const deskScene: Scene = { ...usualScene, surface: 'taped' };
