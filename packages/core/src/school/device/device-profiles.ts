/**
 * Generic profiles to begin with: kinds of devices, not products. Preview sizes and angles are typical of their kind; blur and noise are
 * this model's own figures for such cameras in evening light (docs/optics.md says how to find a device's own).
 */
import type { DeviceProfile } from './device.js';
import { commonFormats, type MediaFormat } from './media-format.js';
import { scannerActs, type ScannerAct } from './scanner-profile.js';

/** Kinds of devices that a school may begin with. */
export const genericDevices = [
  'old-tablet',
  'shared-tablet',
  'current-tablet',
  'small-tablet',
  'fixed-focus-webcam',
  'clamshell-laptop',
  'convertible-laptop',
  'document-camera',
  'old-phone',
  'plain-phone',
  'current-phone',
  'large-phone',
] as const;
/** One of them. */
export type GenericDevice = (typeof genericDevices)[number];

/** What a device is as far as scanning goes. */
export type DeviceFigures = Omit<DeviceProfile, 'id' | 'name'> & {
  readonly jpegQuality: number | null;
  readonly actsOn: readonly ScannerAct[];
  readonly plays: readonly MediaFormat[];
};

const pages: readonly ScannerAct[] = ['link', 'contact', 'event', 'place', 'e-mail', 'network'];
const everything = scannerActs;
/** Browsers of laptops play open formats as well; of tablets and phones only newer ones do, and a class has both. */
const laptopFormats: readonly MediaFormat[] = [...commonFormats, 'webm', 'ogg', 'flac'];
const handheldFormats: readonly MediaFormat[] = [...commonFormats, 'flac'];
const hd = { previewWidthPx: 1280, previewHeightPx: 720 };
const fullHd = { previewWidthPx: 1920, previewHeightPx: 1080 };

/** Their figures; docs/optics.md says where they come from. */
export const genericFigures: Readonly<Record<GenericDevice, DeviceFigures>> = {
  'old-tablet': {
    ...hd,
    horizontalFovDeg: 58,
    nearestFocusM: 0.2,
    blurPx: 1,
    noiseGrey: 8,
    jpegQuality: null,
    engine: 'zbar',
    actsOn: ['link', 'contact', 'e-mail'],
    plays: commonFormats,
  },
  'shared-tablet': {
    ...hd,
    horizontalFovDeg: 60,
    nearestFocusM: 0.15,
    blurPx: 0.8,
    noiseGrey: 6,
    jpegQuality: null,
    engine: 'zxing',
    actsOn: pages,
    plays: handheldFormats,
  },
  'current-tablet': {
    ...fullHd,
    horizontalFovDeg: 64,
    nearestFocusM: 0.12,
    blurPx: 0.7,
    noiseGrey: 5,
    jpegQuality: null,
    engine: 'zxing',
    actsOn: everything,
    plays: handheldFormats,
  },
  'small-tablet': {
    ...hd,
    horizontalFovDeg: 62,
    nearestFocusM: 0.15,
    blurPx: 0.9,
    noiseGrey: 7,
    jpegQuality: null,
    engine: 'zxing',
    actsOn: pages,
    plays: handheldFormats,
  },
  'fixed-focus-webcam': {
    ...hd,
    horizontalFovDeg: 70,
    nearestFocusM: 0.5,
    blurPx: 1.1,
    noiseGrey: 8,
    jpegQuality: 75,
    engine: 'qr',
    actsOn: ['link'],
    plays: laptopFormats,
  },
  'clamshell-laptop': {
    ...hd,
    horizontalFovDeg: 66,
    nearestFocusM: 0.3,
    blurPx: 0.85,
    noiseGrey: 6,
    jpegQuality: 80,
    engine: 'zxing',
    actsOn: pages,
    plays: laptopFormats,
  },
  'convertible-laptop': {
    ...fullHd,
    horizontalFovDeg: 72,
    nearestFocusM: 0.25,
    blurPx: 0.9,
    noiseGrey: 6,
    jpegQuality: 80,
    engine: 'zxing',
    actsOn: pages,
    plays: laptopFormats,
  },
  'document-camera': {
    ...fullHd,
    horizontalFovDeg: 50,
    nearestFocusM: 0.1,
    blurPx: 0.7,
    noiseGrey: 5,
    jpegQuality: 85,
    engine: 'qr',
    actsOn: ['link'],
    plays: laptopFormats,
  },
  'old-phone': {
    ...hd,
    horizontalFovDeg: 62,
    nearestFocusM: 0.12,
    blurPx: 0.7,
    noiseGrey: 6,
    jpegQuality: null,
    engine: 'zbar',
    actsOn: ['link', 'contact', 'e-mail', 'phone', 'text-message'],
    plays: commonFormats,
  },
  'plain-phone': {
    ...hd,
    horizontalFovDeg: 64,
    nearestFocusM: 0.12,
    blurPx: 0.7,
    noiseGrey: 5,
    jpegQuality: null,
    engine: 'zxing',
    actsOn: everything,
    plays: handheldFormats,
  },
  'current-phone': {
    ...fullHd,
    horizontalFovDeg: 65,
    nearestFocusM: 0.12,
    blurPx: 0.6,
    noiseGrey: 4,
    jpegQuality: null,
    engine: 'zxing',
    actsOn: everything,
    plays: handheldFormats,
  },
  'large-phone': {
    ...fullHd,
    horizontalFovDeg: 70,
    nearestFocusM: 0.18,
    blurPx: 0.6,
    noiseGrey: 4,
    jpegQuality: null,
    engine: 'zxing',
    actsOn: everything,
    plays: handheldFormats,
  },
};
