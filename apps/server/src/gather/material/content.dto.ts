import { limits } from '@hapset/contract';
import {
  networkSecurities,
  type ContactContent,
  type Content,
  type EmailContent,
  type EventContent,
  type NetworkContent,
  type NetworkSecurity,
  type PhoneContent,
  type PlaceContent,
  type TextMessageContent,
} from '@hapset/core';
import type { TypeOptions } from 'class-transformer';
import { IsBoolean, IsIn, IsNumber, IsString, MaxLength } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

const field = limits.fieldLength;
const long = limits.longFieldLength;

export class ContactDto implements ContactContent {
  @IsIn(['contact']) kind: 'contact';
  @IsString() @MaxLength(field) givenName: string;
  @IsString() @MaxLength(field) familyName: string;
  @IsString() @MaxLength(field) organisation: string;
  @IsString() @MaxLength(field) phone: string;
  @IsString() @MaxLength(field) email: string;
  @IsString() @MaxLength(field) webPage: string;
}
export const sameContact: Exact<Plain<ContactDto>, Plain<ContactContent>> = true;

export class EventDto implements EventContent {
  @IsIn(['event']) kind: 'event';
  @IsString() @MaxLength(field) title: string;
  @IsString() @MaxLength(10) date: string;
  @IsString() @MaxLength(5) startsAt: string;
  @IsString() @MaxLength(5) endsAt: string;
  @IsString() @MaxLength(field) place: string;
  @IsString() @MaxLength(long) about: string;
}
export const sameEvent: Exact<Plain<EventDto>, Plain<EventContent>> = true;

export class PlaceDto implements PlaceContent {
  @IsIn(['place']) kind: 'place';
  @IsString() @MaxLength(field) name: string;
  @IsNumber() latitude: number;
  @IsNumber() longitude: number;
}
export const samePlace: Exact<Plain<PlaceDto>, Plain<PlaceContent>> = true;

export class EmailDto implements EmailContent {
  @IsIn(['e-mail']) kind: 'e-mail';
  @IsString() @MaxLength(field) address: string;
  @IsString() @MaxLength(field) subject: string;
  @IsString() @MaxLength(long) text: string;
}
export const sameEmail: Exact<Plain<EmailDto>, Plain<EmailContent>> = true;

export class PhoneDto implements PhoneContent {
  @IsIn(['phone']) kind: 'phone';
  @IsString() @MaxLength(field) number: string;
  @IsString() @MaxLength(field) name: string;
}
export const samePhone: Exact<Plain<PhoneDto>, Plain<PhoneContent>> = true;

export class TextMessageDto implements TextMessageContent {
  @IsIn(['text-message']) kind: 'text-message';
  @IsString() @MaxLength(field) number: string;
  @IsString() @MaxLength(long) text: string;
}
export const sameTextMessage: Exact<Plain<TextMessageDto>, Plain<TextMessageContent>> = true;

export class NetworkDto implements NetworkContent {
  @IsIn(['network']) kind: 'network';
  @IsString() @MaxLength(field) name: string;
  @IsIn(networkSecurities) security: NetworkSecurity;
  @IsString() @MaxLength(64) password: string;
  @IsBoolean() hidden: boolean;
}
export const sameNetwork: Exact<Plain<NetworkDto>, Plain<NetworkContent>> = true;

export type ContentDto = ContactDto | EventDto | PlaceDto | EmailDto | PhoneDto | TextMessageDto | NetworkDto;
export const sameContent: Exact<Plain<ContentDto>, Plain<Content>> = true;

/** Tells class-transformer which DTO a body's content is; an unknown kind stays a plain object and is refused. */
export const contentType: TypeOptions = {
  keepDiscriminatorProperty: true,
  discriminator: {
    property: 'kind',
    subTypes: [
      { name: 'contact', value: ContactDto },
      { name: 'event', value: EventDto },
      { name: 'place', value: PlaceDto },
      { name: 'e-mail', value: EmailDto },
      { name: 'phone', value: PhoneDto },
      { name: 'text-message', value: TextMessageDto },
      { name: 'network', value: NetworkDto },
    ],
  },
};
