/** Rectangles, and which element is around which, through shadow roots. */
import type { Box } from './seen-frame.js';

/** What the phone shows at first. */
export const viewport: Box = { left: 0, top: 0, width: innerWidth, height: innerHeight };
/** Clips nothing. */
export const endless: Box = { left: -1e6, top: -1e6, width: 2e6, height: 2e6 };

/** What both have in common; empty where they have nothing. */
export function intersect(one: Box, other: Box): Box {
  const [left, top] = [Math.max(one.left, other.left), Math.max(one.top, other.top)];
  return {
    left,
    top,
    width: Math.min(one.left + one.width, other.left + other.width) - left,
    height: Math.min(one.top + one.height, other.top + other.height) - top,
  };
}

/** Smaller than a pixel. */
export function isEmpty({ width, height }: Box): boolean {
  return width < 1 || height < 1;
}

/** By itself, apart from the page. */
export function boxOf({ left, top, width, height }: DOMRect): Box {
  return { left, top, width, height };
}

/** Alpha of a computed colour; computed colours come as rgb(), rgba() or color(). */
export function alphaOf(colour: string): number {
  if (colour === 'transparent') return 0;
  const alpha = /(?:rgba\([^)]*,|\/)\s*([\d.]+%?)\s*\)$/.exec(colour)?.[1];
  if (alpha === undefined) return 1;
  return alpha.endsWith('%') ? Number(alpha.slice(0, -1)) / 100 : Number(alpha);
}

/** The element around, through shadow roots and slots. */
export function parentOf(element: Element): Element | null {
  const node = element.assignedSlot ?? element.parentNode;
  if (node instanceof ShadowRoot) return node.host;
  return node instanceof Element ? node : null;
}

/** Whether it is the outer element or in it. */
export function isInside(element: Element | null, outer: Element): boolean {
  for (let each = element; each; each = parentOf(each)) if (each === outer) return true;
  return false;
}

/** What is drawn inside of it: its shadow root's, or what is put into a slot. */
export function childrenOf(element: Element): readonly Node[] {
  if (element instanceof HTMLSlotElement && element.assignedNodes().length > 0) return element.assignedNodes();
  return [...(element.shadowRoot ?? element).childNodes];
}

/** The element that a finger would touch there, in whichever shadow root. */
export function hitAt(x: number, y: number): Element | null {
  let hit = document.elementFromPoint(x, y);
  for (let depth = 0; hit?.shadowRoot && depth < 10; depth += 1) {
    const inner = hit.shadowRoot.elementFromPoint(x, y);
    if (!inner || inner === hit) break;
    hit = inner;
  }
  return hit;
}

const hides = /^(?:hidden|clip)$/;
const scrolls = /^(?:auto|scroll)$/;

/** What is left of the clip inside of an element: less where it hides what runs over, all where a person can scroll to it. */
export function clippedBy(element: Element, { overflowX, overflowY }: CSSStyleDeclaration, clip: Box): Box {
  if (overflowX === 'visible' && overflowY === 'visible') return clip;
  // Of the page itself, hidden means that nobody can scroll.
  const isPage = element === document.documentElement || element === document.body;
  const own = isPage ? viewport : boxOf(element.getBoundingClientRect());
  if (!isPage && !isEmpty(intersect(clip, own))) {
    if (scrolls.test(overflowY)) return { ...clip, top: endless.top, height: endless.height };
    if (scrolls.test(overflowX)) return { ...clip, left: endless.left, width: endless.width };
  }
  const [across, down] = [hides.test(overflowX) ? own : endless, hides.test(overflowY) ? own : endless];
  return intersect(clip, { left: across.left, width: across.width, top: down.top, height: down.height });
}
