/** The kinds of materials: by link, plain words, those with fields, and what the school's own server keeps. */
import { keptKinds } from '../kept/kept.js';
import { contentKinds } from '../content/content.js';

/** What a link may lead to. */
export const linkKinds = ['form', 'document', 'folder', 'video', 'audio', 'web-page'] as const;
/** One of them. */
export type LinkKind = (typeof linkKinds)[number];
/** What a material may be. */
export const materialKinds = [...linkKinds, 'message', ...contentKinds, ...keptKinds] as const;
/** One of them. */
export type MaterialKind = (typeof materialKinds)[number];
