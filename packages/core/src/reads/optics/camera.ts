/**
 * What a camera sees of a printed code: print -> scene -> lens -> sensor -> frame. Only the region around the code is
 * rendered, in linear light, from a print that is unsharp already, then put through the sRGB curve and given noise. The same seed gives the
 * same frame in a worker and on the server. docs/optics.md lists the assumptions and what is left out.
 */
import { requirePositive } from '../../platform/units.js';
import type { DeviceProfile } from '../../school/device/device.js';
import { blurredPrint, type BlurredPrint } from './blurred-print.js';
import { spreadOf, type Spread } from './lens.js';
import { printFor, type PrintedCode } from './print.js';
import { onSheet, project, type Projection, type View } from './projection.js';
import { addGlare, sampleBlurred, samplePoints, type Glare } from './sampling.js';
import { glossOf, lightFigures, usualScene, type Scene } from './scene.js';
import { develop, levelsOf, type GreyFrame } from './sensor.js';

/** A view, and how finely it is sampled. */
export interface FrameView extends View {
  /** For measuring the model: so many sampling points a pixel along each axis instead of its area. */
  readonly pointsAcross?: number;
}

/**
 * Renders the region of the frame that holds the code.
 * @param sizeMm side of the symbol without quiet zone
 * @throws RangeError for sizes and distances that are not above 0
 */
export function renderFrame(
  code: PrintedCode,
  sizeMm: number,
  device: DeviceProfile,
  view: FrameView,
  scene: Scene = usualScene,
): GreyFrame {
  requirePositive('sizeMm', sizeMm);
  requirePositive('distanceM', view.distanceM);
  const { modules } = code;
  const projection = project(modules, sizeMm, device, view);
  const print = printFor(code, scene.technique);
  const { noise, exposureS } = lightFigures[scene.light];
  const spread = spreadOf(device, view, exposureS);
  const slope = scene.uneven / 2;
  const glare: Glare = {
    gloss: glossOf[scene.surface],
    x: modules * (0.5 + (view.glareX ?? 0)),
    y: modules * (0.5 + (view.glareY ?? 0)),
  };
  const levels =
    view.pointsAcross === undefined
      ? seenLevels(blurredPrint(print, onSheet(projection, withPixel(spread)), slope), modules, projection, glare)
      : glossy(samplePoints(print, projection, spread, slope, view.pointsAcross), modules, projection, glare);
  const jpegQuality = device.jpegQuality ?? null;
  return develop(levels, projection, { noiseGrey: device.noiseGrey * noise, jpegQuality, seed: view.seed });
}

/** Without glare the levels of the unsharp print are sampled themselves: between its texels that is the same, and quicker. */
function seenLevels(blurred: BlurredPrint, modules: number, projection: Projection, glare: Glare): Float32Array {
  if (glare.gloss === 0) return sampleBlurred(blurred.levels, blurred, projection);
  return glossy(sampleBlurred(blurred.light, blurred, projection), modules, projection, glare);
}

function glossy(light: Float32Array, modules: number, projection: Projection, glare: Glare): Float32Array {
  if (glare.gloss > 0) addGlare(light, modules, projection, glare);
  return levelsOf(light, light);
}

/** A pixel is a square of side 1: variance 1/12. */
function withPixel({ x, y }: Spread): Spread {
  return { x: Math.sqrt(x * x + 1 / 12), y: Math.sqrt(y * y + 1 / 12) };
}
