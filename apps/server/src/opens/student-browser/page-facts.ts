/**
 * Reads the facts of an HTML page that the core's rules ask for, in one pass over its tags: no tree is built, and reading
 * ends where tags are nested deeper than any browser would show, so that a page costs no more than its length. What a person would not see is left out as far as the
 * page itself says so (hidden, inline styles, simple rules of its style sheets). The encoding is found as browsers do.
 */
import type { FormFacts, PageFacts, PageLink } from '@hapset/core';
import { decodeBuffer } from 'encoding-sniffer';
import { Parser } from 'htmlparser2';
import { parseUrl, simHash } from '@hapset/core';
import { unseen, blocks, menus, texts, notVisible } from './tag-names.js';
import { pageLimits } from './page-limits.js';
import { topRules, Lines, squeeze, refreshTarget } from './page-text.js';

export interface ReadPage {
  readonly facts: PageFacts;
  readonly links: readonly PageLink[];
}
/** Of scripts and of style sheets, characters. */
const textKept = 200_000;
/** Browsers stop at 512; the parser's own work grows with the square of the depth. */
const deepest = 1000;

/** @param charset from the Content-Type header, null when it names none */
export function readPage(body: Buffer, address: string, charset: string | null): ReadPage {
  const html = decodeBuffer(body, { transportLayerEncodingLabel: charset ?? undefined, defaultEncoding: 'utf-8' });
  const reading = new Reading(address);
  const parser = new Parser(
    {
      onopentag: (name, attributes) => {
        reading.open(name, attributes);
        if (reading.isTooDeep) parser.pause();
      },
      onclosetag: (name) => reading.close(name),
      ontext: (text) => reading.text(text),
    },
    { decodeEntities: true, lowerCaseTags: true },
  );
  parser.end(html);
  return reading.done();
}

type Attributes = Readonly<Record<string, string>>;
interface Open {
  readonly name: string;
  readonly hides: boolean;
  readonly menu: boolean;
  /** Beside the material or over it. */
  readonly apart: boolean;
  readonly isText: boolean;
  readonly editable: boolean;
}
interface OpenForm {
  readonly action: string;
  readonly method: 'get' | 'post';
  readonly fields: string[];
  readonly buttons: string[];
  filledCharacters: number;
  hiddenFields: number;
  readonly seen: boolean;
}

class Reading {
  private readonly path: Open[] = [];
  private hiddenDepth = 0;
  private menuDepth = 0;
  private apartDepth = 0;
  private textDepth = 0;
  private editableDepth = 0;
  private readonly hiddenNames = new Set<string>();
  private title: string | null = null;
  private titleText = '';
  private picture: string | null = null;
  private refreshTo: string | null = null;
  private scripts = 0;
  private scriptText = '';
  private styleText = '';
  private media = 0;
  private players = 0;
  private contentCharacters = 0;
  private visibleText = '';
  private editableCharacters = 0;
  private readonly bodyText = new Lines();
  private readonly menuText = new Lines();
  private line = '';
  private readonly forms: OpenForm[] = [];
  private form: OpenForm | null = null;
  private readonly buttons: string[] = [];
  private buttonText: string | null = null;
  private readonly links: PageLink[] = [];
  private link: { readonly address: string; text: string } | null = null;

  constructor(private readonly address: string) {}

  get isTooDeep(): boolean {
    return this.path.length > deepest;
  }

  open(name: string, attributes: Attributes): void {
    const element = this.elementOf(name, attributes);
    if (element.menu || element.apart) this.endLine();
    this.path.push(element);
    this.readHead(name, attributes);
    if (name === 'form') this.beginForm(attributes, element.hides);
    this.count(element, 1);
    if (blocks.has(name)) this.endLine();
    if (isField(name)) this.field(name, attributes);
    if (this.hiddenDepth === 0) this.openVisible(name, attributes);
  }

  private elementOf(name: string, attributes: Attributes): Open {
    return {
      name,
      hides: unseen.has(name) || this.isHidden(name, attributes),
      menu:
        (menus.has(name) && (name === 'nav' || this.textDepth === 0)) ||
        /^(?:navigation|menu|menubar|banner|contentinfo)$/.test(attributes.role ?? ''),
      apart:
        name === 'dialog' ||
        name === 'aside' ||
        attributes['aria-modal'] === 'true' ||
        /^(?:dialog|alertdialog|complementary)$/.test(attributes.role ?? ''),
      isText: texts.has(name),
      editable: attributes.contenteditable !== undefined && attributes.contenteditable !== 'false',
    };
  }

  /** What a page says of itself, and its scripts. */
  private readHead(name: string, attributes: Attributes): void {
    if (name === 'title') this.title ??= '';
    if (name === 'meta') this.meta(attributes);
    if (name === 'script') this.scripts += 1;
    if (name === 'body' && attributes.onload) this.scriptText += attributes.onload.slice(0, 2000);
  }

  private openVisible(name: string, attributes: Attributes): void {
    if (isMedium(name, attributes)) this.media += 1;
    if (this.isPlayer(name, attributes)) this.players += 1;
    if (name === 'button' || attributes.role === 'button') this.buttonText = '';
    if (name === 'a' && attributes.href && this.links.length < pageLimits.links) this.beginLink(attributes.href);
  }

  /** How deep in what it is now; an element that ends takes its own away. */
  private count({ hides, menu, apart, isText, editable }: Open, change: 1 | -1): void {
    if (hides) this.hiddenDepth += change;
    if (menu) this.menuDepth += change;
    if (apart) this.apartDepth += change;
    if (isText) this.textDepth += change;
    if (editable) this.editableDepth += change;
  }

  close(name: string): void {
    const top = this.leave();
    if (name === 'style') this.readStyles();
    if (name === 'title' && this.title === '') this.title = this.titleText;
    if (this.buttonText !== null && (name === 'button' || top?.name === name)) this.endButton(name);
    if (name === 'a') this.endLink();
    if (name === 'form') this.form = null;
    if (blocks.has(name)) this.endLine();
  }

  private leave(): Open | undefined {
    const top = this.path.pop();
    if (top && (top.menu || top.apart)) this.endLine();
    if (top) this.count(top, -1);
    return top;
  }

  private endLink(): void {
    if (this.link)
      this.links.push({
        address: this.link.address,
        text: squeeze(this.link.text).slice(0, pageLimits.lineLength),
        inMenu: this.menuDepth > 0,
      });
    this.link = null;
  }

  text(text: string): void {
    const inside = this.path.at(-1)?.name ?? '';
    this.unseenText(inside, text);
    if (this.hiddenDepth > 0) return;
    if (inside === 'textarea' && this.form) this.form.filledCharacters += squeeze(text).length;
    if (this.editableDepth > 0) this.editableCharacters += squeeze(text).length;
    if (this.buttonText !== null) {
      this.buttonText += text.slice(0, 500);
      return;
    }
    if (this.link) this.link.text += text.slice(0, 500);
    this.line += text;
  }

  private unseenText(inside: string, text: string): void {
    if (inside === 'title' && this.title === '') this.titleText += text.slice(0, 2000);
    if (inside === 'script' && this.scriptText.length < textKept) this.scriptText += text;
    if (inside === 'style' && this.styleText.length < textKept) this.styleText += text;
  }

  done(): ReadPage {
    this.endLine();
    // A page that is nothing but a head is told by that.
    const lines = this.bodyText.characters > 0 ? this.bodyText : this.menuText;
    const visible = this.forms.filter((form) => form.seen && (form.fields.length > 0 || form.buttons.length > 0));
    const facts: PageFacts = {
      title: squeeze(this.title ?? '').slice(0, pageLimits.lineLength),
      picture: this.picture,
      firstLines: lines.first,
      visibleCharacters: lines.characters,
      contentCharacters: this.contentCharacters,
      textHash: simHash(this.visibleText.slice(0, pageLimits.textHashed)),
      forms: visible.map(({ action, method, fields, buttons, filledCharacters }): FormFacts => ({
        action,
        method,
        fields,
        buttons,
        filledCharacters,
      })),
      scripts: this.scripts,
      media: this.media,
      players: this.players,
      refreshTo: this.refreshTo,
      postsItselfTo: this.postsItselfTo(),
      buttons: this.buttons,
      editableCharacters: this.editableCharacters,
    };
    return { facts, links: this.links };
  }

  private isHidden(name: string, { hidden, style = '', class: classes = '', id, open, ...more }: Attributes): boolean {
    if (
      hidden !== undefined ||
      more['aria-hidden'] === 'true' ||
      /(?:display:\s*none|visibility:\s*hidden)/i.test(style)
    )
      return true;
    if (name === 'dialog' && open === undefined) return true;
    if (this.hiddenNames.size === 0) return false;
    return (
      (id !== undefined && this.hiddenNames.has(`#${id}`)) ||
      classes.split(/\s+/).some((each) => each !== '' && this.hiddenNames.has(`.${each}`))
    );
  }

  /** Simple rules alone, `.name` or `#name`: those of media queries or of states would hide too much. */
  private readStyles(): void {
    for (const { selectors, rule } of topRules(this.styleText)) {
      if (!/(?:display:\s*none|visibility:\s*hidden)/i.test(rule)) continue;
      for (const selector of selectors.split(','))
        if (/^[.#][\w-]+$/.test(selector.trim())) this.hiddenNames.add(selector.trim());
    }
    this.styleText = '';
  }

  private meta({ content = '', property = '', name = '', 'http-equiv': equiv = '' }: Attributes): void {
    if (/^refresh$/i.test(equiv.trim())) this.refreshTo ??= refreshTarget(content, this.address);
    if (/^(?:og:image|og:image:url|twitter:image)$/i.test(property || name) && this.picture === null)
      this.picture = this.resolve(content.trim());
  }

  private beginForm({ action = '', method = 'get' }: Attributes, hides: boolean): void {
    if (this.forms.length >= pageLimits.forms) return;
    this.form = {
      action: action.slice(0, 500),
      method: method.toLowerCase() === 'post' ? 'post' : 'get',
      fields: [],
      buttons: [],
      filledCharacters: 0,
      hiddenFields: 0,
      seen: this.hiddenDepth === 0 && !hides,
    };
    this.forms.push(this.form);
  }

  private field(name: string, { type = 'text', value = '' }: Attributes): void {
    const kind = name === 'input' ? type.toLowerCase() : name;
    // A select hides its own options, not itself.
    const isSeen = this.hiddenDepth <= (name === 'select' ? 1 : 0);
    if (isSeen && (kind === 'submit' || kind === 'button')) this.button(squeeze(value));
    if (this.form) noteField(this.form, kind, isSeen);
  }

  private button(words: string): void {
    const buttons = this.form?.buttons ?? this.buttons;
    if (words !== '' && buttons.length < pageLimits.buttons) buttons.push(words.slice(0, pageLimits.lineLength));
  }

  private endButton(name: string): void {
    if (name !== 'button' && this.path.some((each) => each.name === 'button')) return;
    this.button(squeeze(this.buttonText ?? ''));
    this.buttonText = null;
  }

  private beginLink(href: string): void {
    const address = this.resolve(href.trim());
    this.link = address === null ? null : { address, text: '' };
  }

  private endLine(): void {
    const line = squeeze(this.line);
    this.line = '';
    if (line === '') return;
    (this.menuDepth > 0 ? this.menuText : this.bodyText).add(line);
    if (this.menuDepth === 0 && this.visibleText.length < pageLimits.textHashed) this.visibleText += `${line}\n`;
    if (this.menuDepth === 0 && this.apartDepth === 0) this.contentCharacters += line.length;
  }

  /** It names what it plays, itself or by a source inside. */
  private isPlayer(name: string, { src }: Attributes): boolean {
    if (!src) return false;
    if (name === 'audio' || name === 'video') return true;
    return name === 'source' && this.path.some((each) => each.name === 'audio' || each.name === 'video');
  }

  private postsItselfTo(): string | null {
    const form = this.forms.find(
      ({ method, fields, hiddenFields }) => method === 'post' && fields.length === 0 && hiddenFields > 0,
    );
    return form && /submit\s*\(/.test(this.scriptText) ? this.resolve(form.action) : null;
  }

  private resolve(address: string): string | null {
    return address.length <= 4000 ? (parseUrl(address, this.address)?.href ?? null) : null;
  }
}

function isField(name: string): boolean {
  return name === 'input' || name === 'select' || name === 'textarea';
}

function isMedium(name: string, { src }: Attributes): boolean {
  if (name === 'img' || name === 'embed') return Boolean(src);
  return name === 'audio' || name === 'video' || name === 'iframe';
}

function noteField(form: OpenForm, kind: string, isSeen: boolean): void {
  if (kind === 'hidden') form.hiddenFields += 1;
  if (isSeen && !notVisible.has(kind) && form.fields.length < pageLimits.fields) form.fields.push(kind);
}
