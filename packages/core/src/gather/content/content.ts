/** Kinds whose content is in the code itself and has fields of its own. A message is plain words and not among them. */

/** Fields of a contact. */
export interface ContactContent {
  readonly kind: 'contact';
  readonly givenName: string;
  readonly familyName: string;
  readonly organisation: string;
  readonly phone: string;
  readonly email: string;
  readonly webPage: string;
}

/** Fields of an event; times by the school's clock. */
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

/** Fields of a place; degrees. */
export interface PlaceContent {
  readonly kind: 'place';
  readonly name: string;
  /** Degrees north, -90 to 90 (WGS 84). */
  readonly latitude: number;
  /** Degrees east, -180 to 180. */
  readonly longitude: number;
}

/** Fields of an e-mail. */
export interface EmailContent {
  readonly kind: 'e-mail';
  readonly address: string;
  readonly subject: string;
  readonly text: string;
}

/** Fields of a phone number. */
export interface PhoneContent {
  readonly kind: 'phone';
  readonly number: string;
  /** Whose it is; for the title only. */
  readonly name: string;
}

/** Fields of a text message. */
export interface TextMessageContent {
  readonly kind: 'text-message';
  readonly number: string;
  readonly text: string;
}

/** How a wireless network is secured. */
export const networkSecurities = ['WPA', 'WEP', 'open'] as const;
/** One of them. */
export type NetworkSecurity = (typeof networkSecurities)[number];

/** Fields of a wireless network. */
export interface NetworkContent {
  readonly kind: 'network';
  readonly name: string;
  readonly security: NetworkSecurity;
  readonly password: string;
  readonly hidden: boolean;
}

/** Fields of one kind. */
export type Content =
  ContactContent | EventContent | PlaceContent | EmailContent | PhoneContent | TextMessageContent | NetworkContent;

/** Kinds whose fields stand in the code itself. */
export const contentKinds = [
  'contact',
  'event',
  'place',
  'e-mail',
  'phone',
  'text-message',
  'network',
] as const satisfies readonly Content['kind'][];
/** One of them. */
export type ContentKind = (typeof contentKinds)[number];
