import type { SchoolView } from '@hapset/contract';
import type { School } from './school.entity.js';

export function toSchoolView({
  name,
  timeZone,
  language,
  paper,
  printerMarginMm,
  duplexEdge,
  duplexRightMm,
  duplexDownMm,
  publicAddress,
  shortLinkHost,
  visitorNetworks,
  cardReturnTo,
  studentPhotos,
  version,
}: School): SchoolView {
  return {
    name,
    timeZone,
    language,
    paper,
    printerMarginMm,
    duplexEdge,
    duplexRightMm,
    duplexDownMm,
    publicAddress,
    shortLinkHost,
    visitorNetworks: visitorNetworks ?? [],
    cardReturnTo,
    studentPhotos,
    version,
  };
}
