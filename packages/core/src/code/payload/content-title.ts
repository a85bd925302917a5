/** A title for fields, as a person would name the thing. */
import { unreachable } from '../../platform/result.js';
import type { Content } from '../../gather/content/content.js';
import { fullName } from './vcard.js';

/** What a person would call it: a name, a title, a subject; empty where its fields say nothing. */
export function titleFromContent(content: Content): string {
  switch (content.kind) {
    case 'contact':
      return fullName(content);
    case 'event':
      return content.title;
    case 'place':
      return content.name;
    case 'e-mail':
      return content.subject || content.address;
    case 'phone':
      return content.name || content.number;
    case 'text-message':
      return content.text.split('\n')[0]?.slice(0, 60) || content.number;
    case 'network':
      return content.name;
    default:
      return unreachable(content);
  }
}
