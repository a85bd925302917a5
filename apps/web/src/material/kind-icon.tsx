import type { MaterialKind } from '@hapset/core';
import { AudioLines, ClipboardList, FileText, Folder, Globe, MessageSquareText, Video, type LucideIcon } from 'lucide-react';
import type { ReactElement } from 'react';

const icons: Readonly<Record<MaterialKind, LucideIcon>> = {
  form: ClipboardList,
  document: FileText,
  folder: Folder,
  video: Video,
  audio: AudioLines,
  'web-page': Globe,
  message: MessageSquareText,
};

export function KindIcon({ kind, size = 15 }: { readonly kind: MaterialKind; readonly size?: number }): ReactElement {
  const Icon = icons[kind];
  return <Icon size={size} strokeWidth={1.8} aria-hidden className="inline-block shrink-0" />;
}
