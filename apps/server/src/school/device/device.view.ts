import type { DeviceView } from '@hapset/contract';
import type { Device } from './device.entity.js';

export function toDeviceView(device: Device): DeviceView {
  return {
    id: device.id,
    name: device.name,
    count: device.count,
    previewWidthPx: device.previewWidthPx,
    previewHeightPx: device.previewHeightPx,
    horizontalFovDeg: device.horizontalFovDeg,
    nearestFocusM: device.nearestFocusM,
    blurPx: device.blurPx,
    noiseGrey: device.noiseGrey,
    jpegQuality: device.jpegQuality,
    engine: device.engine,
    actsOn: device.actsOn,
    plays: device.plays,
  };
}
