/** "Firefox on Windows" out of a User-Agent (RFC 9110, 10.1.5), so that people know their devices again. */
import bowser from 'bowser';

const agentLength = 500;
const nameLength = 80;

/** Empty where the browser does not say what it is. */
export function deviceNameOf(userAgent: string | undefined): string {
  if (userAgent === undefined || userAgent === '') return '';
  const { browser, os } = bowser.parse(userAgent.slice(0, agentLength));
  const names = [browser.name, os.name].filter((name): name is string => name !== undefined && name !== '');
  return names.join(' on ').slice(0, nameLength);
}
