/** What a device's scanner does something with. */
export const scannerActs = [
  'link',
  'bare-address',
  'contact',
  'event',
  'place',
  'e-mail',
  'phone',
  'text-message',
  'network',
] as const;
/** A kind of payload that a scanner does something with, beyond showing it. */
export type ScannerAct = (typeof scannerActs)[number];

/** What the scanner of a device does with what it read. */
export interface ScannerProfile {
  readonly id: string;
  readonly name: string;
  /** What it acts on; everything else it shows as text. None: it shows words only. */
  readonly actsOn: readonly ScannerAct[];
}
