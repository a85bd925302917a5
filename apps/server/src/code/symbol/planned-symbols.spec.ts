import { plainLook, type EventContent } from '@hapset/core';
import { toCarriable } from '../../gather/material/material-address.js';
import { PlannedSymbols } from './planned-symbols.js';

const school = { publicAddress: 'https://hapset.example', shortLinkHost: 'k.example' };
const carriable = (content: EventContent | null): ReturnType<typeof toCarriable> =>
  toCarriable(
    {
      link: content === null ? 'https://a.example/leaf/guide' : null,
      words: null,
      content,
      pageToken: null,
      carry: 'link',
      trimmedLink: null,
      slug: null,
    },
    school,
  );

describe('planned symbols', () => {
  const symbols = new PlannedSymbols();
  const plain = { design: plainLook, name: 'Guide' };

  it('are kept, and an event is planned for each zone', () => {
    const same = carriable(null);
    expect(symbols.plan(same, 'UTC', null, plain)).toBe(symbols.plan(same, 'UTC', null, plain));
    // The name is part of the picture only where it is printed under the code.
    expect(symbols.plan(same, 'UTC', null, { ...plain, name: 'Other' })).toBe(symbols.plan(same, 'UTC', null, plain));
    const named = { ...plainLook, caption: { words: null, place: 'below' as const } };
    expect(symbols.plan(same, 'UTC', null, { design: named, name: 'Other' })).not.toBe(
      symbols.plan(same, 'UTC', null, { design: named, name: 'Guide' }),
    );
    const event = carriable({
      kind: 'event',
      title: 'Walk',
      date: '2027-06-12',
      startsAt: '09:30',
      endsAt: '',
      place: '',
      about: '',
    });
    expect(symbols.plan(event, 'UTC', null, plain).carried.payload).not.toBe(
      symbols.plan(event, 'Europe/Dublin', null, plain).carried.payload,
    );
  });
});
