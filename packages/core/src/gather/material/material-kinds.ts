/** The kinds of materials: by link, plain words, those with fields, and what the school's own server keeps. */
import { keptKinds } from '../kept/kept.js';
import { contentKinds } from '../content/content.js';

export const linkKinds = ['form', 'document', 'folder', 'video', 'audio', 'web-page'] as const;
export type LinkKind = (typeof linkKinds)[number];
export const materialKinds = [...linkKinds, 'message', ...contentKinds, ...keptKinds] as const;
export type MaterialKind = (typeof materialKinds)[number];
