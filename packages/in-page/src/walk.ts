/** Walks through all that is drawn, as it is drawn: into shadow roots and slots, with what clips, fades and blurs it. */
import {
  alphaOf,
  boxOf,
  childrenOf,
  clippedBy,
  endless,
  hitAt,
  intersect,
  isEmpty,
  isInside,
  parentOf,
  viewport,
} from './boxes.js';
import { noNotes, type FormSeen, type Notes, type Seen } from './notes.js';
import type { Box, Region } from './seen-frame.js';

const most = { elements: 20_000, characters: 60_000, links: 1000, forms: 30, fields: 200, buttons: 200, frames: 12 };
const smallestFontPx = 5;
const faintest = 0.15;
const blurredPx = 3;
const skipped = /^(?:script|style|noscript|template|head|title|svg|object|option|math)$/i;

/** What counts for everything inside of an element. */
interface Around {
  readonly clip: Box;
  /** Clips what is positioned absolutely: that of the nearest positioned element. */
  readonly positionedClip: Box;
  readonly opacity: number;
  readonly blurred: boolean;
  readonly region: Region;
  /** Inside of the material's own text, a head or foot belongs to it. */
  readonly isText: boolean;
  readonly form: FormSeen | null;
  readonly button: Seen | null;
  readonly editable: boolean;
}

const outermost: Around = {
  clip: endless,
  positionedClip: endless,
  opacity: 1,
  blurred: false,
  region: 'content',
  isText: false,
  form: null,
  button: null,
  editable: false,
};

/** All that a person would see in this frame, also what lies behind a layer. */
export function walkPage(): Notes {
  const walker = new Walker();
  walker.walk(document.documentElement, outermost);
  return walker.notes;
}

class Walker {
  readonly notes = noNotes();
  private elements = 0;
  private characters = 0;
  private breaks = 0;

  walk(element: Element, around: Around): void {
    this.elements += 1;
    if (this.isFull() || skipped.test(element.tagName)) return;
    const style = getComputedStyle(element);
    if (isUndrawn(element, style)) return;
    const isBlock = !/^(?:inline|contents)$/.test(style.display);
    if (isBlock || element.tagName === 'BR') this.breaks += 1;
    const outer = clipFor(style.position, around);
    const inside = insideOf(element, style, outer, around);
    const isShown = style.visibility === 'visible' && inside.opacity >= faintest;
    const isVisible = isShown && !isEmpty(intersect(boxOf(element.getBoundingClientRect()), outer));
    this.walkInside(element, this.note(element, inside, isVisible), isShown ? style : null);
    if (isBlock) this.breaks += 1;
  }

  /** @param style of the element; null where its own text is not shown */
  private walkInside(element: Element, within: Around, style: CSSStyleDeclaration | null): void {
    for (const child of childrenOf(element)) {
      if (child instanceof Element) this.walk(child, within);
      else if (child instanceof Text && style) this.noteText(child, element, style, within);
    }
  }

  private isFull(): boolean {
    return this.elements > most.elements || this.characters > most.characters;
  }

  /** Notes what the element itself is. @returns what counts inside of it */
  private note(element: Element, around: Around, isVisible: boolean): Around {
    if (element instanceof HTMLMediaElement) this.noteMedium(element, isVisible);
    if (element instanceof HTMLFormElement && this.notes.forms.length < most.forms) {
      const form = formOf(element);
      this.notes.forms.push(form);
      return { ...around, form };
    }
    return isVisible ? this.noteVisible(element, around) : around;
  }

  private noteVisible(element: Element, around: Around): Around {
    const { notes } = this;
    const role = element.getAttribute('role') ?? '';
    this.notePicture(element, around);
    if (isField(element, role)) this.noteField(element, role, around);
    if (/^H[1-3]$/.test(element.tagName) && notes.headings.length < 10) notes.headings.push(element);
    if (element instanceof HTMLAnchorElement && element.href && notes.links.length < most.links)
      notes.links.push(seenOf(element, around));
    if (element.tagName !== 'BUTTON' && role !== 'button') return around;
    const button = seenOf(element, around);
    this.noteButton(button, around);
    return { ...around, button };
  }

  private noteButton(seen: Seen, { form }: Around): void {
    if (this.notes.buttons.length < most.buttons) this.notes.buttons.push({ seen, form });
  }

  private notePicture(element: Element, around: Around): void {
    const { width, height } = element.getBoundingClientRect();
    const isLarge = width >= 32 && height >= 32;
    const isPicture = element instanceof HTMLImageElement && element.naturalWidth > 1;
    if (isLarge && (isPicture || /^(?:CANVAS|EMBED)$/.test(element.tagName))) this.notes.media += 1;
    if (element.tagName !== 'IFRAME' || width < 100 || height < 40) return;
    this.notes.media += 1;
    if (this.notes.frames.length < most.frames) this.notes.frames.push(seenOf(element, around));
  }

  /** A sound may be played by buttons of the page's own. */
  private noteMedium(element: HTMLMediaElement, isVisible: boolean): void {
    if (isVisible) this.notes.media += 1;
    const canPlay =
      element.readyState >= HTMLMediaElement.HAVE_METADATA && element.error === null && element.duration > 0;
    if (canPlay && (isVisible || element.tagName === 'AUDIO')) this.notes.players += 1;
  }

  private noteField(element: Element, role: string, around: Around): void {
    const kind = kindOfField(element, role);
    if (kind === 'hidden') return;
    if (/^(?:submit|button|reset|image)$/.test(kind)) {
      this.noteButton(seenOf(element, around, (element as HTMLInputElement).value), around);
    } else if (this.notes.fields.length < most.fields) {
      const filledCharacters = element instanceof HTMLTextAreaElement ? element.value.trim().length : 0;
      this.notes.fields.push({ element, form: around.form, kind, filledCharacters });
    }
  }

  /** Notes the text where a person can read it. */
  private noteText(node: Text, element: Element, style: CSSStyleDeclaration, around: Around): void {
    const text = node.data.replace(/\s+/gu, ' ');
    const last = this.notes.texts.at(-1);
    if (text === ' ' && last?.breaks === this.breaks) last.text += text;
    if (text.trim() === '' || parseFloat(style.fontSize) < smallestFontPx || alphaOf(style.color) < faintest) return;
    const box = shownBoxOf(node, around.clip);
    if (!box) return;
    this.characters += text.length;
    if (around.editable) this.notes.editableCharacters += text.trim().length;
    if (around.button) {
      around.button.text += text;
      return;
    }
    const readable = !around.blurred && !isCovered(box, element);
    this.notes.texts.push({ element, text, region: around.region, box, readable, breaks: this.breaks });
  }
}

function isUndrawn(element: Element, { display }: CSSStyleDeclaration): boolean {
  // What has no box of its own, checkVisibility() calls invisible.
  return display === 'none' || (display !== 'contents' && !element.checkVisibility());
}

function clipFor(position: string, { clip, positionedClip }: Around): Box {
  if (position === 'fixed') return viewport;
  return position === 'absolute' ? positionedClip : clip;
}

function insideOf(element: Element, style: CSSStyleDeclaration, outer: Box, around: Around): Around {
  const clip = clippedBy(element, style, outer);
  const blur = Number(/blur\(([\d.]+)px\)/.exec(style.filter)?.[1] ?? 0);
  return {
    ...around,
    clip,
    positionedClip: style.position === 'static' ? around.positionedClip : clip,
    opacity: around.opacity * Number(style.opacity),
    blurred: around.blurred || blur >= blurredPx,
    region: regionOf(element, around),
    isText: around.isText || /^(?:MAIN|ARTICLE|SECTION)$/.test(element.tagName),
    editable: around.editable || (element instanceof HTMLElement && element.isContentEditable),
  };
}

function regionOf(element: Element, around: Around): Region {
  const role = element.getAttribute('role') ?? '';
  if (/^(?:navigation|menu|menubar|banner|contentinfo)$/.test(role)) return 'menu';
  if (element.tagName === 'NAV' || (!around.isText && /^(?:HEADER|FOOTER)$/.test(element.tagName))) return 'menu';
  if (/^(?:dialog|alertdialog|complementary)$/.test(role) || /^(?:DIALOG|ASIDE)$/.test(element.tagName)) return 'apart';
  return element.getAttribute('aria-modal') === 'true' ? 'apart' : around.region;
}

function seenOf(element: Element, { region, blurred }: Around, text = ''): Seen {
  return { element, text, region, box: boxOf(element.getBoundingClientRect()), readable: !blurred };
}

function formOf(element: HTMLFormElement): FormSeen {
  const method = (element.getAttribute('method') ?? 'get').toLowerCase() === 'post' ? 'post' : 'get';
  return { element, action: (element.getAttribute('action') ?? '').slice(0, 500), method };
}

function isField(element: Element, role: string): boolean {
  return /^(?:INPUT|SELECT|TEXTAREA)$/.test(element.tagName) || /^(?:radio|checkbox|textbox|combobox)$/.test(role);
}

function kindOfField(element: Element, role: string): string {
  if (element instanceof HTMLInputElement) return element.type;
  if (element.tagName === 'TEXTAREA' || role === 'textbox') return 'textarea';
  return role === '' ? 'select' : role;
}

/** The first piece of the text that is inside of the page and not clipped away; null where none is. */
function shownBoxOf(node: Text, clip: Box): Box | null {
  const range = document.createRange();
  range.selectNodeContents(node);
  const width = Math.max(innerWidth, document.documentElement.scrollWidth);
  const page = intersect(clip, { left: 0, width, top: -scrollY, height: endless.height });
  const boxes = [...range.getClientRects()].map((rect) => intersect(boxOf(rect), page));
  return boxes.find((box) => !isEmpty(box)) ?? null;
}

/** Whether something opaque lies over the middle of it. Below the first screen nothing can be asked for. */
function isCovered({ left, top, width, height }: Box, element: Element): boolean {
  const hit = hitAt(left + width / 2, top + height / 2);
  if (!hit || isInside(hit, element) || isInside(element, hit)) return false;
  for (let each: Element | null = hit; each && !isInside(element, each); each = parentOf(each))
    if (isOpaque(each)) return true;
  return false;
}

function isOpaque(element: Element): boolean {
  return (
    /^(?:IMG|VIDEO|CANVAS|IFRAME)$/.test(element.tagName) || alphaOf(getComputedStyle(element).backgroundColor) > 0.8
  );
}
