/** Finds a layer that lies over the page: a consent, a sign-in, an offer. */
import { boxOf, hitAt, intersect, isEmpty, isInside, parentOf } from './boxes.js';
import type { Notes } from './notes.js';

/** Characters behind it that make something in front a layer. */
const behindLayer = 20;
/** Share of the viewport from which on a layer covers the page. */
const coversFrom = 0.55;
const [rows, columns] = [11, 5];
/** Pages lie in layers themselves; deeper than that nobody nests them. */
const deepest = 5;

/** What lies over the page. */
export interface Layer {
  readonly elements: ReadonlySet<Element>;
  /** Of the viewport, 0 to 1. */
  readonly share: number;
}

/** Null where nothing covers most of the viewport, or where there is no text behind it: then it is the page itself. */
export function findLayer(notes: Notes): Layer | null {
  // Nothing else can be touched while it is open, so that asking what lies where tells nothing.
  const modals = modalsIn(document);
  if (modals.length > 0) return { elements: new Set(modals), share: 1 };
  const hits = Array.from({ length: rows * columns }, (_, at) =>
    liftedAround(
      hitAt((((at % columns) + 0.5) * innerWidth) / columns, ((Math.floor(at / columns) + 0.5) * innerHeight) / rows),
    ),
  );
  for (let level = 0; level < deepest; level += 1) {
    const over = hits.map((lifted) => lifted[level]).filter((each) => each !== undefined);
    const share = over.length / hits.length;
    if (share < coversFrom) return null;
    const elements = new Set(over);
    if (charactersBehind(elements, notes) >= behindLayer) return { elements: withSmall(elements, notes, level), share };
  }
  return null;
}

/** Whether the element is in the layer. */
export function isInLayer(layer: ReadonlySet<Element>, element: Element): boolean {
  for (let each: Element | null = element; each; each = parentOf(each)) if (layer.has(each)) return true;
  return false;
}

/** With what lies on top beside it, so small that it was not hit: a dialog beside its backdrop. */
function withSmall(elements: ReadonlySet<Element>, { texts, fields, buttons }: Notes, level: number): Set<Element> {
  const all = new Set(elements);
  const seen = [...texts, ...fields, ...buttons.map(({ seen: button }) => button)];
  for (const { element } of seen) {
    const lifted = liftedAround(element)[level];
    if (!lifted || all.has(lifted)) continue;
    const { left, top, width, height } = element.getBoundingClientRect();
    if (isInside(hitAt(left + width / 2, top + height / 2), lifted)) all.add(lifted);
  }
  return all;
}

function modalsIn(root: Document | ShadowRoot): readonly Element[] {
  const hosts = [...root.querySelectorAll('*')].flatMap(({ shadowRoot }) => shadowRoot ?? []);
  return [...root.querySelectorAll('dialog:modal'), ...hosts.flatMap(modalsIn)];
}

/** What is in front of the page's flow there, the outermost first. */
function liftedAround(element: Element | null): readonly Element[] {
  const lifted: Element[] = [];
  for (let each = element; each && each !== document.body; each = parentOf(each)) {
    const { position, zIndex } = getComputedStyle(each);
    const isOver = position === 'fixed' || (position === 'absolute' && Number(zIndex) > 0);
    if (isOver || each.matches('dialog[open], :popover-open')) lifted.unshift(each);
  }
  return lifted;
}

function charactersBehind(layer: ReadonlySet<Element>, { texts }: Notes): number {
  const boxes = [...layer].map((element) => boxOf(element.getBoundingClientRect()));
  return texts
    .filter(({ element, box }) => !isInLayer(layer, element) && boxes.some((over) => !isEmpty(intersect(box, over))))
    .reduce((sum, { text }) => sum + text.trim().length, 0);
}
