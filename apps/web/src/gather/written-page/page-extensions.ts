/** What the editor knows: exactly what a written page may hold (core/written-page), and nothing else. */
import { Mark, mergeAttributes, Node } from '@tiptap/core';
import { TableKit } from '@tiptap/extension-table';
import TextAlign from '@tiptap/extension-text-align';
import StarterKit from '@tiptap/starter-kit';
import { isSafeLink, palette, type PageColour, type PageFont, type PageSize } from '@hapset/core';

declare module '@tiptap/core' {
  interface Commands<ReturnType> {
    look: {
      /** Colour, font or size of the selection; null takes it off. */
      setLook: (look: {
        readonly colour?: PageColour | null;
        readonly font?: PageFont | null;
        readonly size?: PageSize | null;
      }) => ReturnType;
    };
  }
}

/** Colour, font and size out of the palette, as one mark. */
const Look = Mark.create({
  name: 'look',
  addAttributes: () => ({ colour: plain('colour'), font: plain('font'), size: plain('size') }),
  parseHTML: () => [{ tag: 'span[data-colour], span[data-font], span[data-size]' }],
  renderHTML: ({ HTMLAttributes }) => [
    'span',
    mergeAttributes(HTMLAttributes, { class: lookClass(HTMLAttributes) }),
    0,
  ],
  addCommands() {
    return {
      setLook:
        (look) =>
        ({ commands, editor }) => {
          const next = Object.fromEntries(
            Object.entries({ ...editor.getAttributes(this.name), ...look }).filter(([, value]) => value !== null),
          );
          return Object.keys(next).length === 0 ? commands.unsetMark(this.name) : commands.setMark(this.name, next);
        },
    };
  },
});

function plain(name: string): {
  default: null;
  parseHTML: (element: HTMLElement) => string | null;
  renderHTML: (attributes: Record<string, unknown>) => Record<string, unknown>;
} {
  return {
    default: null,
    parseHTML: (element) => element.getAttribute(`data-${name}`),
    renderHTML: ({ [name]: value }) => (value === null || value === undefined ? {} : { [`data-${name}`]: value }),
  };
}

/** The editor shows what the students' style sheet shows. */
function lookClass(attributes: Readonly<Record<string, unknown>>): string {
  return ['colour', 'font', 'size']
    .flatMap((name) =>
      typeof attributes[`data-${name}`] === 'string' ? [`${name}-${String(attributes[`data-${name}`])}`] : [],
    )
    .join(' ');
}

export interface KnownFile {
  readonly address: string;
  readonly name: string;
}
type FileOf = (fileId: string) => KnownFile | null;

const keptPicture = (fileOf: FileOf) =>
  Node.create({
    name: 'keptPicture',
    group: 'block',
    atom: true,
    draggable: true,
    addAttributes: () => ({ fileId: { default: null }, alt: { default: '' } }),
    parseHTML: () => [
      {
        tag: 'figure[data-picture]',
        getAttrs: (element) => ({
          fileId: element.getAttribute('data-picture'),
          alt: element.getAttribute('data-alt') ?? '',
        }),
      },
    ],
    renderHTML: ({ node }) => [
      'figure',
      { 'data-picture': String(node.attrs.fileId), 'data-alt': String(node.attrs.alt) },
      ['img', { src: `${fileOf(String(node.attrs.fileId))?.address ?? ''}/w640`, alt: String(node.attrs.alt) }],
    ],
  });

const keptMedia = (fileOf: FileOf) =>
  Node.create({
    name: 'keptMedia',
    group: 'block',
    atom: true,
    draggable: true,
    addAttributes: () => ({ fileId: { default: null }, media: { default: 'sound' }, alt: { default: '' } }),
    parseHTML: () => [
      {
        tag: 'figure[data-media]',
        getAttrs: (element) => ({
          fileId: element.getAttribute('data-file'),
          media: element.getAttribute('data-media'),
        }),
      },
    ],
    renderHTML: ({ node }) => {
      const file = fileOf(String(node.attrs.fileId));
      const film = node.attrs.media === 'film';
      return [
        'figure',
        { 'data-media': String(node.attrs.media), 'data-file': String(node.attrs.fileId) },
        [film ? 'video' : 'audio', { controls: 'true', preload: 'metadata', src: file?.address ?? '' }],
        ['figcaption', {}, file?.name ?? ''],
      ];
    },
  });

export function pageExtensions(fileOf: FileOf) {
  return [
    StarterKit.configure({
      heading: { levels: [1, 2, 3] },
      codeBlock: false,
      link: {
        openOnClick: false,
        autolink: true,
        defaultProtocol: 'https',
        isAllowedUri: (address) => isSafeLink(address),
      },
    }),
    TextAlign.configure({ types: ['heading', 'paragraph'], alignments: [...palette.alignments] }),
    TableKit.configure({ table: { resizable: false } }),
    Look,
    keptPicture(fileOf),
    keptMedia(fileOf),
  ];
}
