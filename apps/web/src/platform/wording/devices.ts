/** Kinds of devices, and where each figure is found. */
import type { GenericDevice } from '@hapset/core';
import { t } from './words.js';

export const genericWords: Readonly<Record<GenericDevice, string>> = {
  'old-tablet': t('devices.oldTablet720pCamera'),
  'shared-tablet': t('devices.sharedTabletAFewYears'),
  'current-tablet': t('devices.currentTablet'),
  'small-tablet': t('devices.smallTabletInASturdy'),
  'fixed-focus-webcam': t('devices.webcamWithoutFocus'),
  'clamshell-laptop': t('devices.clamshellLaptop'),
  'convertible-laptop': t('devices.convertibleLaptop1080pCamera'),
  'document-camera': t('devices.documentCamera'),
  'old-phone': t('devices.oldPhoneWithAnOlder'),
  'plain-phone': t('devices.plainPhone720pPreview'),
  'current-phone': t('devices.currentPhone'),
  'large-phone': t('devices.largePhoneWideLens'),
};

/** What is under a figure's field: where to find it. */
export const figureHints = {
  previewWidthPx: t('devices.ofThePreviewWhileScanning'),
  previewHeightPx: t('devices.often720Or1080'),
  horizontalFovDeg: t('devices.measureTheWidthYouSee'),
  nearestFocusM: t('devices.closestDistanceWhereSmallPrint'),
  blurPx: t('devices.n06ForAClean'),
  noiseGrey: t('devices.n4ForACleanPicture'),
  jpegQuality: t('devices.about80ForWebcamsThat'),
} as const;
