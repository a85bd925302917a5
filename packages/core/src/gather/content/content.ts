/** Kinds whose content is in the code itself and has fields of its own. A message is plain words and not among them. */

export interface ContactContent {
  readonly kind: 'contact';
  readonly givenName: string;
  readonly familyName: string;
  readonly organisation: string;
  readonly phone: string;
  readonly email: string;
  readonly webPage: string;
}

export interface EventContent {
  readonly kind: 'event';
  readonly title: string;
  /** Day in the school's zone, `YYYY-MM-DD`. */
  readonly date: string;
  /** Wall times in the school's zone, `HH:MM`; '' for the whole day or an open end. */
  readonly startsAt: string;
  readonly endsAt: string;
  readonly place: string;
  readonly about: string;
}

export interface PlaceContent {
  readonly kind: 'place';
  readonly name: string;
  /** Degrees north, -90 to 90 (WGS 84). */
  readonly latitude: number;
  /** Degrees east, -180 to 180. */
  readonly longitude: number;
}

export interface EmailContent {
  readonly kind: 'e-mail';
  readonly address: string;
  readonly subject: string;
  readonly text: string;
}

export interface PhoneContent {
  readonly kind: 'phone';
  readonly number: string;
  /** Whose it is; for the title only. */
  readonly name: string;
}

export interface TextMessageContent {
  readonly kind: 'text-message';
  readonly number: string;
  readonly text: string;
}

export const networkSecurities = ['WPA', 'WEP', 'open'] as const;
export type NetworkSecurity = (typeof networkSecurities)[number];

export interface NetworkContent {
  readonly kind: 'network';
  readonly name: string;
  readonly security: NetworkSecurity;
  readonly password: string;
  readonly hidden: boolean;
}

export type Content =
  ContactContent | EventContent | PlaceContent | EmailContent | PhoneContent | TextMessageContent | NetworkContent;

export const contentKinds = [
  'contact',
  'event',
  'place',
  'e-mail',
  'phone',
  'text-message',
  'network',
] as const satisfies readonly Content['kind'][];
export type ContentKind = (typeof contentKinds)[number];
