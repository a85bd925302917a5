/** How much is noted of a page, whether its source was read or a browser drew it. */
export const pageLimits = {
  firstLines: 12,
  /** Characters of a line. */
  lineLength: 200,
  forms: 30,
  fields: 60,
  buttons: 40,
  links: 1000,
  /** Characters of the visible text: enough to know a page again. */
  textHashed: 20_000,
} as const;
