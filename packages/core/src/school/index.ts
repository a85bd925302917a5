/** What the core offers of `school`. */
export { scannerActs, type ScannerAct, type ScannerProfile } from './device/scanner-profile.js';
export { genericDevices, genericFigures, type DeviceFigures, type GenericDevice } from './device/device-profiles.js';
export {
  focalLengthPx,
  pixelsPerModule,
  readerEngineNames,
  type DeviceProfile,
  type ReaderEngineName,
} from './device/device.js';
export { commonFormats, mediaFormats, type MediaFormat, type MediaProfile } from './device/media-format.js';
export { studentAccounts, type StudentAccounts } from './accounts/student-accounts.js';
