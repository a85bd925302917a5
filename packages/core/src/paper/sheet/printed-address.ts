/** An address as people type it from paper. */

/** Nobody types more than so many characters without a mistake. */
export const longestPrintedAddress = 40;

/** Without scheme, and without a slash at its end: browsers add both. */
export function typedAddress(address: string): string {
  return address.replace(/^https?:\/\//iu, '').replace(/\/$/u, '');
}

/** What is printed; '' where it would be too long to type. Short links in groups of letters are made to be typed. */
export function printedAddress(address: string): string {
  const typed = typedAddress(address);
  if (/\s/u.test(typed)) return typed;
  return [...typed].length > longestPrintedAddress ? '' : typed;
}
