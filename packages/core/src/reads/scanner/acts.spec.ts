import { tooFineInTheHand } from '../optics/in-the-hand.js';
import type { DeviceProfile } from '../../school/device/device.js';
import { carries } from '../../code/payload/carry.js';
import { actNeeded, ignoring } from './acts.js';
import { scannerActs } from '../../school/device/scanner-profile.js';

describe('what a scanner must act on', () => {
  it('is the link for addresses, the kind for fields, and nothing for words', () => {
    expect(carries.map((carry) => actNeeded(carry, null))).toEqual(['link', 'link', 'link', 'bare-address', null]);
    expect(actNeeded('words', 'event')).toBe('event');
    expect(scannerActs).toContain(actNeeded('words', 'text-message'));
  });

  it('names the devices that show it as text', () => {
    const devices = [
      { name: 'Tablets', actsOn: scannerActs },
      { name: 'Laptops', actsOn: ['link'] as const },
      { name: 'Words only', actsOn: [] },
    ];
    expect(ignoring(devices, 'event').map(({ name }) => name)).toEqual(['Laptops', 'Words only']);
    expect(ignoring(devices, 'link').map(({ name }) => name)).toEqual(['Words only']);
    expect(ignoring(devices, null)).toEqual([]);
  });
});

describe('reading in the hand', () => {
  const phone: DeviceProfile = {
    id: 'p',
    name: 'Phones',
    previewWidthPx: 1920,
    previewHeightPx: 1080,
    horizontalFovDeg: 65,
    nearestFocusM: 0.12,
    blurPx: 0.6,
    noiseGrey: 4,
    engine: 'zxing',
  };
  const laptop = {
    ...phone,
    id: 'l',
    previewWidthPx: 1280,
    previewHeightPx: 720,
    nearestFocusM: 0.3,
    blurPx: 0.85,
    noiseGrey: 6,
  };
  it('fails first on a webcam that sees nothing sharp from near', () => {
    expect(tooFineInTheHand(25, [phone, laptop])).toEqual([]);
    expect(tooFineInTheHand(85, [phone, laptop])).toEqual([laptop]);
    expect(tooFineInTheHand(177, [{ ...phone, previewWidthPx: 1280 }, laptop])).toHaveLength(2);
  });
});
