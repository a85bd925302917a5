/** Kinds of devices, and where each figure is found. */
import type { GenericDevice } from '@hapset/core';

export const genericWords: Readonly<Record<GenericDevice, string>> = {
  'old-tablet': 'Old tablet, 720p camera',
  'shared-tablet': 'Shared tablet, a few years old',
  'current-tablet': 'Current tablet',
  'small-tablet': 'Small tablet in a sturdy case',
  'fixed-focus-webcam': 'Webcam without focus',
  'clamshell-laptop': 'Clamshell laptop',
  'convertible-laptop': 'Convertible laptop, 1080p camera',
  'document-camera': 'Document camera',
  'old-phone': 'Old phone with an older scanner',
  'plain-phone': 'Plain phone, 720p preview',
  'current-phone': 'Current phone',
  'large-phone': 'Large phone, wide lens',
};

/** What stands under a figure's field: where to find it. */
export const figureHints = {
  previewWidthPx: 'Of the preview while scanning, not of photos: often 1280 or 1920.',
  previewHeightPx: 'Often 720 or 1080.',
  horizontalFovDeg: 'Stand 1 m from a wall: a strip as wide as the picture is 115 cm at 60°, 127 cm at 65°.',
  nearestFocusM: 'The nearest distance at which small print is sharp.',
  blurPx: '0.6 for a clean, good lens; 1.2 for an old or scratched one.',
  noiseGrey: '4 for a calm picture in the evening; 8 where it visibly crawls.',
  jpegQuality: 'Of webcams that compress, about 80; left empty otherwise.',
} as const;
