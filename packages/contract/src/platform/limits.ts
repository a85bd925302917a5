/** Bounds that server and pages must agree on. */
export const limits = {
  nameLength: 120,
  /** Longest language tag that RFC 5646, 4.4.1, asks to make room for. */
  languageTag: 35,
  titleLength: 200,
  instructionLength: 200,
  /** A card that was read waits so long for the server at most. */
  cardWaitMs: 86_400_000,
  /** Of what a teacher saw at a link: its first words. */
  sawLength: 400,
  placeLength: 80,
  /** Of an account; what an index of such texts holds. */
  emailLength: 190,
  passwordLength: 200,
  /** Characters; NIST SP 800-63B asks for 8 at least. */
  leastPassword: 10,
  /** Of a one-time link, with what separates its groups. */
  accountTokenLength: 40,
  activityPage: 60,
  /** Of the school's own addresses and hosts. */
  addressLength: 200,
  /** Names of files as they were given, cut to that. */
  fileNameLength: 200,
  linkLength: 2000,
  /** More than the largest symbol holds: 7,089 digits. */
  payloadLength: 7200,
  /** Characters of a message; version 40 at level M holds 2,331 bytes. */
  wordsLength: 2300,
  /** Of a kind's fields: names, numbers, subjects. */
  fieldLength: 200,
  /** Of texts in a kind's fields. */
  longFieldLength: 1500,
  itemsAtOnce: 200,
  tagLength: 60,
  tags: 20,
  viewingDistanceM: { least: 0.2, most: 30 },
  shelfPage: 60,
  lessonsPage: 60,
  lookNameLength: 60,
  looks: 200,
  visitorNetworks: 50,
  device: {
    previewPx: { least: 120, most: 4096 },
    fovDeg: { least: 10, most: 150 },
    nearestFocusM: { least: 0.02, most: 2 },
    blurPx: 5,
    noiseGrey: 40,
    deviceCount: 100_000,
    devices: 60,
  },
  studentsPage: 100,
  photosAtOnce: 1000,
  /** Of a photo that a browser made small, in base64. */
  photoLength: 700_000,
  schoolYearLength: 20,
  cardReturnToLength: 200,
  /** Who leave together. */
  studentsAtOnce: 500,
  /** That move at the end of a year. */
  classesAtOnce: 500,
  cardReadingsShown: 200,
  /** Codes on one print, with their copies. */
  sheetCodes: 2000,
  sheetCopies: 60,
  printsPage: 20,
  sheetTemplates: 60,
  sheetFooterLength: 120,
  headerPicture: { aspect: { least: 0.5, most: 12 }, heightMm: { least: 5, most: 40 } },
  printerMarginMm: { least: 0, most: 20 },
  duplexShiftMm: 10,
  codeSizeMm: { least: 10, most: 1000 },
} as const;
