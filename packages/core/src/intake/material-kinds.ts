/** The kinds of materials: by link, plain words, and those with fields. What is kept here joins later. */
import { contentKinds } from '../payload/content.js';

export const linkKinds = ['form', 'document', 'folder', 'video', 'audio', 'web-page'] as const;
export type LinkKind = (typeof linkKinds)[number];
export const materialKinds = [...linkKinds, 'message', ...contentKinds] as const;
export type MaterialKind = (typeof materialKinds)[number];
