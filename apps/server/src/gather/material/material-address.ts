/** Where students get a material: its own link, or its page on the school's server. */
import { pageAddress, shortAddress, type Carriable } from '@hapset/core';
import type { SchoolRecord } from '../../school/settings/school-record.js';
import type { MaterialRecord } from './material-record.js';

/** Null for what is in the code itself. @param publicAddress the school's */
export function addressOf(
  { link, pageToken }: Pick<MaterialRecord, 'link' | 'pageToken'>,
  publicAddress: string,
): string | null {
  return link ?? (pageToken === null ? null : pageAddress(publicAddress, pageToken));
}

export type Carrying = Pick<
  MaterialRecord,
  'link' | 'words' | 'content' | 'pageToken' | 'carry' | 'trimmedLink' | 'slug'
>;

export function toCarriable(
  { link, words, content, pageToken, carry, trimmedLink, slug }: Carrying,
  { publicAddress, shortLinkHost }: Pick<SchoolRecord, 'publicAddress' | 'shortLinkHost'>,
): Carriable {
  return {
    link,
    words,
    content,
    carry,
    trimmedLink,
    shortAddress: slug === null ? null : shortAddress(publicAddress, shortLinkHost, slug),
    pageAddress: pageToken === null ? null : pageAddress(publicAddress, pageToken),
  };
}
