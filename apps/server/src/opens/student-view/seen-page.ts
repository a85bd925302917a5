/**
 * What was seen of a page's frames, as the facts that the core's rules ask for. Behind a layer nothing counts: what a
 * student gets is the layer.
 */
import { simHash, type FormFacts, type PageFacts, type PageLink } from '@hapset/core';
import type { SeenForm, SeenFrame, SeenLine } from '@hapset/in-page';
import { pageLimits } from '../student-browser/page-limits.js';
import type { SeenFrames } from './page-worlds.js';

export interface SeenPage {
  readonly facts: PageFacts;
  readonly links: readonly PageLink[];
  readonly headings: readonly string[];
  /** Of the viewport, 0 to 1; 0 without a layer. */
  readonly layerShare: number;
}

export function readSeenPage({ main, inner }: SeenFrames): SeenPage {
  const covered = main.layerShare > 0;
  const counts = (each: { readonly inLayer: boolean }): boolean => !covered || each.inLayer;
  const frames: readonly SeenFrame[] = [
    {
      ...main,
      lines: main.lines.filter(counts),
      forms: main.forms.filter(counts),
      buttons: main.buttons.filter(counts),
    },
    ...inner.filter(counts).map(({ seen }) => seen),
  ];
  const lines = frames.flatMap((frame) => frame.lines);
  const body = lines.filter(({ region }) => region !== 'menu');
  // A page that is nothing but a head is told by that.
  const shown = body.length > 0 ? body : lines;
  const sum = (of: (frame: SeenFrame) => number): number => frames.reduce((total, frame) => total + of(frame), 0);
  return {
    facts: {
      title: main.title,
      picture: main.picture,
      firstLines: shown.slice(0, pageLimits.firstLines).map(({ text }) => text.slice(0, pageLimits.lineLength)),
      visibleCharacters: charactersOf(shown),
      contentCharacters: covered ? 0 : charactersOf(body.filter(({ region }) => region === 'content')),
      textHash: simHash(
        body
          .map(({ text }) => `${text}\n`)
          .join('')
          .slice(0, pageLimits.textHashed),
      ),
      forms: frames
        .flatMap((frame) => frame.forms)
        .slice(0, pageLimits.forms)
        .map(factsOf),
      scripts: 0,
      media: sum(({ media }) => media),
      players: covered ? 0 : sum(({ players }) => players),
      refreshTo: null,
      postsItselfTo: null,
      buttons: frames
        .flatMap((frame) => frame.buttons)
        .map(({ text }) => text)
        .filter((text) => text !== '')
        .slice(0, pageLimits.buttons),
      editableCharacters: covered ? 0 : sum(({ editableCharacters }) => editableCharacters),
    },
    links: frames
      .flatMap((frame) => frame.links)
      .filter(counts)
      .slice(0, pageLimits.links)
      .map(({ address, text, inMenu }) => ({ address, text, inMenu })),
    headings: main.headings,
    layerShare: main.layerShare,
  };
}

function charactersOf(lines: readonly SeenLine[]): number {
  return lines.reduce((sum, { characters }) => sum + characters, 0);
}

function factsOf({ action, method, fields, buttons, filledCharacters }: SeenForm): FormFacts {
  return { action, method, fields, buttons, filledCharacters };
}
