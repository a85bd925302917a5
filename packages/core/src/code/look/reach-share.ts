/**
 * How much of a plain code's reach a look leaves, before anything is rehearsed: the printed size makes up for it. Fitted to
 * this core's own rehearsals of three devices in two versions (docs/optics.md); the rehearsal confirms or corrects it.
 */
import { contrastOf, inkReflectance, paperReflectance, worsePrint } from './contrast.js';
import { lookColours, type LookDesign } from './look.js';

/** Of any form but squares, and of a centre picture: between 0.87 and 1, whatever they are. */
const decorated = 0.9;
/** Lost of the reach for each part of the contrast that is lost, as far as it is read at all. */
const forContrast = 0.55;

/** Above 0, 1 for the plain look. */
export function reachShareOf(look: LookDesign): number {
  const colours = lookColours(look);
  const contrast = contrastOf(colours, worsePrint(colours)).symbolContrast / (paperReflectance - inkReflectance);
  const shaped = look.modules !== 'plain' || look.finders !== 'plain' || look.centre !== null;
  return (shaped ? decorated : 1) * (1 - forContrast * (1 - contrast));
}
