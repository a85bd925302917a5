import type { MaterialKind } from '@hapset/core';
import {
  AudioLines,
  CalendarPlus,
  ClipboardList,
  Contact,
  File,
  FileText,
  Folder,
  Globe,
  Images,
  Mail,
  MapPin,
  MessageCircle,
  MessageSquareText,
  NotebookPen,
  Phone,
  Video,
  Wifi,
} from 'lucide';
import type { ReactElement } from 'react';
import { Icon, type IconNode } from '../../platform/design/icon.js';

const icons: Readonly<Record<MaterialKind, IconNode>> = {
  form: ClipboardList,
  document: FileText,
  folder: Folder,
  video: Video,
  audio: AudioLines,
  'web-page': Globe,
  message: MessageSquareText,
  contact: Contact,
  event: CalendarPlus,
  place: MapPin,
  'e-mail': Mail,
  phone: Phone,
  'text-message': MessageCircle,
  network: Wifi,
  file: File,
  'picture-set': Images,
  'written-page': NotebookPen,
};

export function KindIcon({ kind, size = 15 }: { readonly kind: MaterialKind; readonly size?: number }): ReactElement {
  return <Icon icon={icons[kind]} size={size} strokeWidth={1.8} className="inline-block shrink-0" />;
}
