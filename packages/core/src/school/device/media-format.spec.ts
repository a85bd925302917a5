import { commonFormats, mediaFormats, notPlaying, uncommonFormats } from './media-format.js';

describe('formats of sounds and films', () => {
  const tablet = { id: 't', plays: commonFormats };
  const laptop = { id: 'l', plays: mediaFormats };

  it('name the devices that don’t play one of them', () => {
    expect(notPlaying([tablet, laptop], ['webm'])).toEqual([tablet]);
    expect(notPlaying([tablet, laptop], ['mp4-h264', 'webm'])).toEqual([tablet]);
    expect(notPlaying([tablet, laptop], ['mp4-h264', 'mp3'])).toEqual([]);
    expect(notPlaying([tablet, laptop], [])).toEqual([]);
  });

  it('are told apart by what nearly every device plays', () => {
    expect(uncommonFormats(['mp3', 'webm', 'mov', 'wav'])).toEqual(['webm', 'mov']);
    expect(uncommonFormats(commonFormats)).toEqual([]);
  });
});
