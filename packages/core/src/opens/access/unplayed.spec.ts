import { commonFormats, mediaFormats } from '../../school/device/media-format.js';
import { findUnplayed } from './unplayed.js';

describe('what devices of a class don’t play', () => {
  const tablet = { id: 't', plays: commonFormats };
  const laptop = { id: 'l', plays: mediaFormats };

  it('is nothing where all of them play it, or nothing is to be played', () => {
    expect(findUnplayed(['mp4-h264', 'mp3'], [tablet, laptop])).toBeNull();
    expect(findUnplayed([], [tablet])).toBeNull();
    expect(findUnplayed([], [])).toBeNull();
  });

  it('needs a look where some do, and stops where none does', () => {
    expect(findUnplayed(['mp3', 'webm'], [tablet, laptop])).toEqual({
      formats: ['webm'],
      by: [tablet],
      state: 'look-at',
    });
    expect(findUnplayed(['webm'], [tablet])).toEqual({ formats: ['webm'], by: [tablet], state: 'stop' });
  });

  it('is what not even common devices play where none is known', () => {
    expect(findUnplayed(['mp3', 'mov'], [])).toEqual({ formats: ['mov'], by: [], state: 'look-at' });
    expect(findUnplayed(['mp3'], [])).toBeNull();
  });
});
