/** What opened a short link, as far as a request says: enough to count kinds of devices, and nothing about a person. */
export const visitorKinds = ['phone', 'tablet', 'computer'] as const;
/** What opened a short link, as far as its request tells. */
export type VisitorKind = (typeof visitorKinds)[number];

/** @param userAgent the header of RFC 9110, 10.1.5 @param mobile the client hint Sec-CH-UA-Mobile, where it was sent */
export function visitorKind(userAgent: string, mobile: string | undefined): VisitorKind {
  if (/\bTablet\b|\biPad\b/i.test(userAgent)) return 'tablet';
  if (mobile === '?1' || /\bMobi(?:le)?\b/i.test(userAgent)) return 'phone';
  return /\bAndroid\b/i.test(userAgent) ? 'tablet' : 'computer';
}
