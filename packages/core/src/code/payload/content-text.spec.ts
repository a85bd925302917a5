import { documentFromText } from '../../gather/written-page/document-from-text.js';
import { documentText, readDocument } from '../../gather/written-page/read-document.js';
import { contentText } from './content-text.js';

describe('fields as lines', () => {
  it.each([
    [
      {
        kind: 'contact',
        givenName: 'Wren',
        familyName: 'Okonjo',
        organisation: '',
        phone: '+353 1 555 0101',
        email: '',
        webPage: '',
      } as const,
      'Wren Okonjo\n+353 1 555 0101',
    ],
    [
      {
        kind: 'event',
        title: 'Harbour walk',
        date: '2027-06-12',
        startsAt: '09:30',
        endsAt: '11:00',
        place: 'Quay',
        about: '',
      } as const,
      'Harbour walk\n2027-06-12, 09:30 to 11:00\nQuay',
    ],
    [
      {
        kind: 'event',
        title: 'Sports day',
        date: '2027-06-12',
        startsAt: '',
        endsAt: '',
        place: '',
        about: 'Bring water',
      } as const,
      'Sports day\n2027-06-12\nBring water',
    ],
    [{ kind: 'place', name: 'North cove', latitude: 53.1, longitude: -6.2 } as const, 'North cove\n53.1, -6.2'],
    [{ kind: 'e-mail', address: 'a@b.example', subject: 'Tides', text: 'Hello' } as const, 'a@b.example\nTides\nHello'],
    [{ kind: 'phone', number: '555', name: 'Office' } as const, 'Office\n555'],
    [{ kind: 'text-message', number: '555', text: 'Here' } as const, '555\nHere'],
    [
      { kind: 'network', name: 'Guests', security: 'WPA', password: 'low tide', hidden: false } as const,
      'Guests\nlow tide',
    ],
  ])('%o', (content, text) => expect(contentText(content)).toBe(text));
});

describe('a page out of plain text', () => {
  it('keeps every line, and is a page as pages are kept', () => {
    const text = 'Who am I?\r\n\nI have one foot & no shoe <b>.';
    const page = documentFromText(text);
    expect(page.content).toHaveLength(3);
    expect(readDocument(page)).toEqual(page);
    expect(documentText(page)).toContain('I have one foot & no shoe <b>.');
  });
});
