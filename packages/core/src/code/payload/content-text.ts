/** The fields of a kind as lines that a person reads, for where no scanner takes them apart. */
import { unreachable } from '../../platform/result.js';
import type { Content } from '../../gather/content/content.js';

/** Empty fields are left out. */
export function contentText(content: Content): string {
  return linesOf(content)
    .filter((line) => line.trim() !== '')
    .join('\n');
}

function linesOf(content: Content): readonly string[] {
  switch (content.kind) {
    case 'contact':
      return [
        `${content.givenName} ${content.familyName}`.trim(),
        content.organisation,
        content.phone,
        content.email,
        content.webPage,
      ];
    case 'event':
      return [
        content.title,
        [
          content.date,
          content.startsAt && (content.endsAt ? `${content.startsAt} to ${content.endsAt}` : content.startsAt),
        ]
          .filter((part) => part !== '')
          .join(', '),
        content.place,
        content.about,
      ];
    case 'place':
      return [content.name, `${content.latitude}, ${content.longitude}`];
    case 'e-mail':
      return [content.address, content.subject, content.text];
    case 'phone':
      return [content.name, content.number];
    case 'text-message':
      return [content.number, content.text];
    case 'network':
      return [content.name, content.password];
    default:
      return unreachable(content);
  }
}
