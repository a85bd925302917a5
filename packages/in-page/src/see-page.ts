/**
 * Runs inside of an opened page, in a world of its own that the page's scripts can't reach, and notes what a person would
 * see there: text by size, opacity, clipping and overlap, also in shadow roots; fields, buttons, links, players, and a
 * layer that covers the rest. It judges nothing.
 */
import { findLayer, isInLayer } from './layer.js';
import type { ButtonSeen, FieldSeen, FormSeen, Notes } from './notes.js';
import type { SeenForm, SeenFrame, SeenLine } from './seen-frame.js';
import { walkPage } from './walk.js';

export type { Box, Region, SeenForm, SeenFrame, SeenInnerFrame, SeenLine, SeenLink } from './seen-frame.js';

const most = { lines: 600, line: 400, label: 200, fields: 60, address: 4000 };
const picture = 'meta[property="og:image"], meta[name="twitter:image"]';

type IsOver = (element: Element) => boolean;

/** What a person would see of this frame now. */
export function seeFrame(): SeenFrame {
  const notes = walkPage();
  const layer = findLayer(notes);
  const isOver: IsOver = (element) => layer !== null && isInLayer(layer.elements, element);
  const loose = notes.buttons.filter(({ form }) => form === null);
  return {
    title: squeeze(document.title).slice(0, most.label),
    picture: document.querySelector<HTMLMetaElement>(picture)?.content.slice(0, most.address) ?? null,
    headings: notes.headings.map(labelOf),
    lines: linesOf(notes, isOver),
    forms: formsOf(notes, isOver),
    buttons: loose.map((button) => ({ text: wordsOn(button), inLayer: isOver(button.seen.element) })),
    links: notes.links.map(({ element, region }) => ({
      address: (element as HTMLAnchorElement).href.slice(0, most.address),
      text: labelOf(element),
      inMenu: region === 'menu',
      inLayer: isOver(element),
    })),
    frames: notes.frames.map(({ box, element }) => ({ box, inLayer: isOver(element) })),
    media: notes.media,
    players: notes.players,
    editableCharacters: notes.editableCharacters,
    layerShare: layer?.share ?? 0,
  };
}

/** Changes whenever the page does: how far it has loaded, its elements, and the characters of its text. */
export function pulse(): string {
  let [elements, characters] = [0, document.body?.innerText.length ?? 0];
  const count = (root: Document | ShadowRoot): void => {
    for (const element of root.querySelectorAll('*')) {
      elements += 1;
      if (!element.shadowRoot || elements > 50_000) continue;
      for (const child of element.shadowRoot.children)
        if (child instanceof HTMLElement) characters += child.innerText.length;
      count(element.shadowRoot);
    }
  };
  count(document);
  return `${document.readyState} ${elements} ${characters}`;
}

/** Asks players that load nothing by themselves for their first bytes. */
export function primePlayers(): void {
  for (const medium of document.querySelectorAll<HTMLMediaElement>('audio, video')) {
    if (medium.preload !== 'none') continue;
    medium.preload = 'metadata';
    medium.load();
  }
}

function linesOf({ texts }: Notes, isOver: IsOver): readonly SeenLine[] {
  const lines: { text: string; breaks: number; region: SeenLine['region']; inLayer: boolean }[] = [];
  for (const { text, breaks, region, element, readable } of texts) {
    if (!readable) continue;
    const inLayer = isOver(element);
    const last = lines.at(-1);
    if (last?.breaks === breaks && last.inLayer === inLayer) last.text += text;
    else lines.push({ text, breaks, region, inLayer });
  }
  return lines.slice(0, most.lines).map(({ text, region, inLayer }) => {
    const line = squeeze(text);
    return { text: line.slice(0, most.line), characters: line.length, region, inLayer };
  });
}

/** The forms of the page, and those fields that belong to none: in the layer, and beside it. */
function formsOf(notes: Notes, isOver: IsOver): readonly SeenForm[] {
  const { forms, fields } = notes;
  const isLoose = ({ form }: FieldSeen): boolean => form === null;
  const nobodys = { action: '', method: 'get' as const };
  return [
    ...forms.map((form) => {
      const buttons = notes.buttons.filter((button) => button.form === form).map(wordsOn);
      return formOf(
        form,
        fields.filter((field) => field.form === form),
        buttons,
        isOver(form.element),
      );
    }),
    ...[true, false].map((over) =>
      formOf(
        nobodys,
        fields.filter((field) => isLoose(field) && isOver(field.element) === over),
        [],
        over,
      ),
    ),
  ].filter((form) => form.fields.length > 0 || form.buttons.length > 0);
}

function formOf(
  { action, method }: Pick<FormSeen, 'action' | 'method'>,
  fields: readonly FieldSeen[],
  buttons: readonly string[],
  inLayer: boolean,
): SeenForm {
  return {
    action,
    method,
    fields: fields.slice(0, most.fields).map(({ kind }) => kind),
    buttons: buttons.filter((words) => words !== ''),
    filledCharacters: fields.reduce((sum, field) => sum + field.filledCharacters, 0),
    inLayer,
  };
}

function wordsOn({ seen: { text, element } }: ButtonSeen): string {
  const words = squeeze(text);
  return (words === '' ? squeeze(element.getAttribute('aria-label') ?? '') : words).slice(0, most.label);
}

function labelOf(element: Element): string {
  return squeeze(element.textContent ?? '').slice(0, most.label);
}

function squeeze(text: string): string {
  return text.replace(/\s+/gu, ' ').trim();
}
