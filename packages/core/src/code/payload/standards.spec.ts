import fc from 'fast-check';
import ICAL from 'ical.js';
import { carriedBy, contentPayload } from './carry.js';
import { contentProblems } from '../../gather/content/content-problems.js';
import { titleFromContent } from './content-title.js';
import type {
  ContactContent,
  Content,
  EmailContent,
  EventContent,
  NetworkContent,
} from '../../gather/content/content.js';
import { geoPayload, readGeo } from './geo.js';
import { readMailto, readSms, readTel } from '../../gather/content/contact-uri.js';
import { mailtoPayload } from './mailto.js';
import { smsPayload, telPayload } from './telephone.js';
import { readVcard, vcardPayload } from './vcard.js';
import { readVevent, veventPayload } from './vevent.js';
import { readWifi, wifiPayload } from './wifi.js';
import { plainNumber } from '../../gather/content/phone-number.js';

/** Text as people type it: any script, line ends as `\n`, no lone halves of surrogate pairs. */
const text = fc.string({ unit: 'grapheme', maxLength: 60 }).map((value) => value.replace(/\r\n?/g, '\n'));
const line = text.map((value) => value.replace(/[\p{Cc}\u2028\u2029]/gu, ' ').trim());

const harbourWalk: EventContent = {
  kind: 'event',
  title: 'Harbour walk; bring boots',
  date: '2027-06-12',
  startsAt: '09:30',
  endsAt: '11:00',
  place: 'Old pier, north side',
  about: 'Meet at the gate.\nRain or shine.',
};
const tobiah: ContactContent = {
  kind: 'contact',
  givenName: 'Tobiah',
  familyName: 'Quill',
  organisation: 'Fernhollow School, library',
  phone: '+353 1 555 0199',
  email: 'tobiah.quill@fernhollow.example',
  webPage: 'https://fernhollow.example/library',
};
const guests: NetworkContent = {
  kind: 'network',
  name: 'Fern;hollow: "guests"',
  security: 'WPA',
  password: 'low\\tide,9',
  hidden: false,
};

describe('e-mail, RFC 6068', () => {
  it('encodes subject and text, line ends as CRLF', () => {
    expect(
      mailtoPayload({
        kind: 'e-mail',
        address: 'a+b@fernhollow.example',
        subject: 'Tally & more',
        text: 'One\ntwo 100%',
      }),
    ).toBe('mailto:a+b@fernhollow.example?subject=Tally%20%26%20more&body=One%0D%0Atwo%20100%25');
  });
  it('is what browsers read', () => {
    const url = new URL(mailtoPayload({ kind: 'e-mail', address: 'a@b.example', subject: 'Grüße = ?', text: '' }));
    expect([url.protocol, url.pathname, url.searchParams.get('subject')]).toEqual([
      'mailto:',
      'a@b.example',
      'Grüße = ?',
    ]);
  });
  it('comes back', () => {
    fc.assert(
      fc.property(text, text, (subject, body) => {
        const email: EmailContent = { kind: 'e-mail', address: 'maren+tally@fernhollow.example', subject, text: body };
        expect(readMailto(mailtoPayload(email))).toEqual(email);
      }),
    );
    expect(readMailto('https://a.example')).toBeNull();
  });
});

describe('phone and text message, RFC 3966 and 5724', () => {
  it.each([
    ['+353 1 555-0199', '+35315550199'],
    ['00353 1 5550199', '+35315550199'],
    ['+44 (0)20 7946 0123', '+442079460123'],
    ['(01) 555.01 99', '015550199'],
    ['+３５３１５５５０１９９', '+35315550199'],
    ['call me', null],
    ['1', null],
    ['+1234567890123456', null],
  ])('%s is dialled as %s', (number, plain) => expect(plainNumber(number)).toBe(plain));

  it('write digits only', () => {
    expect(telPayload({ number: '+353 1 555-0199' })).toBe('tel:+35315550199');
    expect(smsPayload({ kind: 'text-message', number: '112', text: '' })).toBe('sms:112');
  });
  it('come back', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^\+?\d{2,15}$/), text, (number, body) => {
        if (plainNumber(number) !== number) return;
        expect(readTel(telPayload({ number }))?.number).toBe(number);
        expect(readSms(smsPayload({ kind: 'text-message', number, text: body }))).toEqual({
          kind: 'text-message',
          number,
          text: body,
        });
      }),
    );
  });
});

describe('place, RFC 5870', () => {
  it('writes degrees to a metre and not longer', () => {
    expect(geoPayload({ latitude: 53.340001, longitude: -6.5 })).toBe('geo:53.34,-6.5');
    expect(geoPayload({ latitude: -0.000001, longitude: 180 })).toBe('geo:0,180');
  });
  it('comes back to five decimals', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -90, max: 90, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        (latitude, longitude) => {
          const back = readGeo(geoPayload({ latitude, longitude }));
          expect(Math.abs((back?.latitude ?? 999) - latitude)).toBeLessThan(0.0000051);
          expect(Math.abs((back?.longitude ?? 999) - longitude)).toBeLessThan(0.0000051);
        },
      ),
    );
  });
});

describe('contact, vCard 3.0', () => {
  it('is understood by an independent library', () => {
    const card = new ICAL.Component(ICAL.parse(vcardPayload(tobiah)) as never);
    expect(card.getFirstPropertyValue('version')).toBe('3.0');
    expect(card.getFirstPropertyValue('fn')).toBe('Tobiah Quill');
    expect(card.getFirstPropertyValue('n')).toEqual(['Quill', 'Tobiah', '', '', '']);
    expect(String(card.getFirstPropertyValue('org'))).toBe('Fernhollow School, library');
    expect(String(card.getFirstPropertyValue('tel'))).toBe('+35315550199');
    expect(card.getFirstPropertyValue('email')).toBe(tobiah.email);
  });
  it('leaves out what is empty', () => {
    expect(vcardPayload({ ...tobiah, organisation: '', phone: '', email: '', webPage: '' })).toBe(
      'BEGIN:VCARD\r\nVERSION:3.0\r\nN:Quill;Tobiah;;;\r\nFN:Tobiah Quill\r\nEND:VCARD',
    );
  });
  it('comes back, whatever the names hold', () => {
    fc.assert(
      fc.property(text, text, text, (givenName, familyName, organisation) => {
        const contact = { ...tobiah, givenName, familyName, organisation, phone: '+35315550199' };
        expect(readVcard(vcardPayload(contact))).toEqual(contact);
      }),
    );
  });
});

describe('event, RFC 5545', () => {
  it('means the right instant in summer and in winter', () => {
    expect(readVevent(veventPayload(harbourWalk, 'Europe/Dublin'))).toMatchObject({
      start: '20270612T083000Z',
      end: '20270612T100000Z',
    });
    expect(readVevent(veventPayload({ ...harbourWalk, date: '2027-01-12' }, 'Europe/Dublin'))).toMatchObject({
      start: '20270112T093000Z',
    });
    expect(readVevent(veventPayload({ ...harbourWalk, date: '2027-01-12' }, 'America/New_York'))).toMatchObject({
      start: '20270112T143000Z',
    });
    expect(readVevent(veventPayload(harbourWalk, 'Asia/Kathmandu'))).toMatchObject({ start: '20270612T034500Z' });
  });
  it('is understood by an independent library', () => {
    const calendar = new ICAL.Component(ICAL.parse(veventPayload(harbourWalk, 'Europe/Dublin')) as never);
    const event = new ICAL.Event(calendar.getFirstSubcomponent('vevent') as never);
    expect(event.summary).toBe(harbourWalk.title);
    expect(event.location).toBe(harbourWalk.place);
    expect(event.description).toBe(harbourWalk.about);
    expect(event.startDate.toJSDate().toISOString()).toBe('2027-06-12T08:30:00.000Z');
    expect(event.endDate.toJSDate().toISOString()).toBe('2027-06-12T10:00:00.000Z');
    expect(event.uid).not.toBe('');
    expect(calendar.getFirstPropertyValue('version')).toBe('2.0');
  });
  it('without times is a whole day', () => {
    const payload = veventPayload({ ...harbourWalk, startsAt: '', endsAt: '' }, 'Europe/Dublin');
    expect(payload).toContain('DTSTART;VALUE=DATE:20270612');
    const event = new ICAL.Event(
      new ICAL.Component(ICAL.parse(payload) as never).getFirstSubcomponent('vevent') as never,
    );
    expect(event.startDate.isDate).toBe(true);
  });
  it('comes back, and is the same code for the same event', () => {
    fc.assert(
      fc.property(line, text, text, (title, place, about) => {
        const payload = veventPayload({ ...harbourWalk, title, place, about }, 'Europe/Dublin');
        expect(readVevent(payload)).toMatchObject({ title, place, about });
        expect(veventPayload({ ...harbourWalk, title, place, about }, 'Europe/Dublin')).toBe(payload);
      }),
    );
  });
});

describe('network', () => {
  it('escapes what separates', () => {
    expect(wifiPayload(guests)).toBe('WIFI:T:WPA;S:Fern\\;hollow\\: \\"guests\\";P:low\\\\tide\\,9;;');
    expect(wifiPayload({ ...guests, name: 'Open', security: 'open', hidden: true })).toBe(
      'WIFI:T:nopass;S:Open;H:true;;',
    );
  });
  it('comes back', () => {
    fc.assert(
      fc.property(text, text, fc.boolean(), fc.constantFrom('WPA', 'WEP'), (name, password, hidden, security) => {
        const network = { kind: 'network', name, password, hidden, security } as NetworkContent;
        expect(readWifi(wifiPayload(network))).toEqual(network);
      }),
    );
  });
});

describe('fields of a kind', () => {
  const fine: readonly Content[] = [
    tobiah,
    harbourWalk,
    { kind: 'place', name: 'North cove', latitude: 53.3, longitude: -6.1 },
    { kind: 'e-mail', address: 'a@b.example', subject: '', text: '' },
    { kind: 'phone', number: '112', name: '' },
    { kind: 'text-message', number: '+35315550199', text: 'Here' },
    guests,
  ];
  it.each(fine)('$kind is fine as it is, has a title and a payload', (content) => {
    expect(contentProblems(content)).toEqual([]);
    expect(titleFromContent(content)).not.toBe('');
    expect(
      carriedBy(
        { link: null, words: null, content, pageAddress: null, carry: 'link', trimmedLink: null, shortAddress: null },
        'Europe/Dublin',
      ),
    ).toEqual({ carry: 'words', payload: contentPayload(content, 'Europe/Dublin') });
  });

  it.each<[Content, string, string]>([
    [{ ...tobiah, givenName: '', familyName: '', organisation: '' }, 'givenName', 'needed'],
    [{ ...tobiah, phone: 'soon' }, 'phone', 'no-number'],
    [{ ...tobiah, email: 'tobiah' }, 'email', 'no-email'],
    [{ ...tobiah, webPage: 'library' }, 'webPage', 'no-web-address'],
    [{ ...harbourWalk, date: '2027-02-29' }, 'date', 'no-day'],
    [{ ...harbourWalk, date: '' }, 'date', 'no-day'],
    [{ ...harbourWalk, endsAt: '09:00' }, 'endsAt', 'ends-before-it-starts'],
    [{ ...harbourWalk, startsAt: '' }, 'startsAt', 'end-without-start'],
    [{ kind: 'place', name: 'x', latitude: 91, longitude: 0 }, 'latitude', 'out-of-range'],
    [{ kind: 'place', name: 'x', latitude: 0, longitude: Number.NaN }, 'longitude', 'out-of-range'],
    [{ kind: 'phone', number: 'home', name: '' }, 'number', 'no-number'],
    [{ ...guests, password: 'short' }, 'password', 'password-length'],
    [{ ...guests, password: '' }, 'password', 'needed'],
  ])('%j needs another %s: %s', (content, field, reason) =>
    expect(contentProblems(content)).toEqual([{ field, reason }]),
  );
});
