/** What is on a sheet below the instruction: what to tap after scanning, and what to do where a scanner shows text only. */
import { ignoring, type ScannerAct, type ScannerProfile } from '@hapset/core';
import { firstInstructions } from '../../gather/material/new-material.js';

const tapWords: Readonly<Record<ScannerAct, string>> = {
  link: 'Then tap the address that appears.',
  'bare-address': 'Then tap the address that appears.',
  contact: 'Then tap the contact that appears to add it.',
  event: 'Then tap the event that appears to add it.',
  place: 'Then tap the place that appears to open the map.',
  'e-mail': 'Then tap the mail that appears.',
  phone: 'Then tap the number that appears.',
  'text-message': 'Then tap the message that appears.',
  network: 'Then tap the network that appears to join it.',
};

const byHand: Readonly<Record<ScannerAct, string>> = {
  link: 'Only text appears? Copy it into the browser.',
  'bare-address': 'Only text appears? Copy it into the browser.',
  contact: 'Only text appears? Read the name and number in it.',
  event: 'Only text appears? The name, day and time are in it.',
  place: 'Only text appears? The two numbers are degrees north and east.',
  'e-mail': 'Only text appears? The address is in it.',
  phone: 'Only text appears? Dial the number in it.',
  'text-message': 'Only text appears? Send it by hand.',
  network: 'Only text appears? Name and password are in it, after S: and P:.',
};

/** '' where the instruction says it already, or where there is nothing to tap. @param act null for words */
export function tapLine(act: ScannerAct | null, devices: readonly ScannerProfile[], instruction: string): string {
  if (act === null) return '';
  // The first instructions name the tap themselves.
  const tap = (Object.values(firstInstructions) as readonly string[]).includes(instruction) ? '' : tapWords[act];
  return [tap, ignoring(devices, act).length > 0 ? byHand[act] : ''].filter((part) => part !== '').join(' ');
}
