/**
 * What a device's scanner does with what it read. A symbol carries characters only; whether a link is opened, a contact
 * offered or the bare text shown is up to the scanner. Words are shown by all of them, so they are no act.
 *
 * Bare addresses, as published readers document it: those that parse what they read take a host with a dot and a letter
 * top-level domain for an address and put http:// before it; those that hand over the characters alone leave it text.
 * So nobody can count on it, and where it works the first request goes out unencrypted.
 */
import { unreachable } from '../../platform/result.js';
import type { Carry } from '../../code/payload/carry.js';
import type { ContentKind } from '../../gather/content/content.js';
import type { ScannerAct, ScannerProfile } from '../../school/device/scanner-profile.js';

/** What a scanner must act on; null for words, which are to be read. @param content the kind of fields, where it holds some */
export function actNeeded(carry: Carry, content: ContentKind | null): ScannerAct | null {
  switch (carry) {
    case 'link':
    case 'trimmed':
    case 'short-link':
      return 'link';
    case 'bare':
      return 'bare-address';
    case 'words':
      return content;
    default:
      return unreachable(carry);
  }
}

/** The devices that show it as text and do nothing. */
export function ignoring<Device extends Pick<ScannerProfile, 'actsOn'>>(
  devices: readonly Device[],
  act: ScannerAct | null,
): readonly Device[] {
  return act === null ? [] : devices.filter((device) => !device.actsOn.includes(act));
}
