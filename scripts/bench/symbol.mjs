// The encoder against two others: versions against `qrcode` (the smallest among the libraries), speed against `qr` (the fastest), in one run.
import { planSymbol } from '@hapset/core';
import { encodeQR } from 'qr';
import qrcode from 'qrcode';

const words = ['tide', 'limpet', 'shore', 'HARBOUR', '2027', '0913', 'rock-pool', 'Möwe', 'Crêpe', '潮'];
const payloads = Array.from({ length: 240 }, (_, index) => made(index));
const ascii = payloads.filter((payload) => /^[\x20-\x7e]+$/.test(payload));
const speedPayload = 'https://k.fernhollow.example/leaf/field-guide-to-limpets?l=2';
const rounds = 400;

export function bench() {
  const own = payloads.map((payload) => version(planSymbol(payload)));
  const other = payloads.map((payload) => qrcode.create(payload, { errorCorrectionLevel: 'M' }).version);
  const larger = payloads.filter((payload, index) => own[index] > other[index]);
  const speed = ratio(
    () => planSymbol(speedPayload),
    () => encodeQR(speedPayload, 'raw', { ecc: 'medium' }),
  );
  return [
    {
      what: `sum of versions of ${payloads.length} payloads, own and qrcode's`,
      value: `${sum(own)} and ${sum(other)}`,
      target: 'never larger but for ECI',
    },
    {
      what: 'larger ones',
      value: `${larger.length}, of ASCII ${larger.filter((payload) => ascii.includes(payload)).length}`,
      target: 'of ASCII none',
    },
    {
      what: 'smaller ones',
      value: String(payloads.filter((_, index) => own[index] < other[index]).length),
      target: '',
    },
    {
      what: `speed of a whole plan (version ${version(planSymbol(speedPayload))}) against qr's encoding`,
      value: `${speed.toFixed(2)} times`,
      target: 'at least 1',
    },
  ];
}

function version(planned) {
  return planned.value.version;
}

/** Payloads as schools have them: links, numbers, capitals, words in several scripts; the same in each run. */
function made(index) {
  const pick = (at) => words[(index * 7 + at * 3) % words.length];
  const texts = [
    `https://${pick(0)
      .toLowerCase()
      .replace(/[^a-z]/g, 'x')}.example/${pick(1)}/${index}`,
    `HTTPS://K.EXAMPLE/${(index * 7919).toString(36).toUpperCase()}`,
    String(index * 123456789).repeat(1 + (index % 4)),
    Array.from({ length: 2 + (index % 17) }, (_, at) => pick(at)).join(' '),
    `MATMSG:TO:${pick(2)}@a.example;SUB:${pick(3)};BODY:${pick(4)} ${index};;`,
    `${pick(5)} ${'7'.repeat(index % 23)} ${pick(6)} ${'ABC'.repeat(index % 9)}`,
  ];
  return texts[index % texts.length];
}

/** Median over blocks that take turns, so that both meet the same noise. */
function ratio(own, other) {
  for (const work of [own, other]) timed(work);
  const ratios = Array.from({ length: 15 }, () => timed(other) / timed(own)).sort((a, b) => a - b);
  return ratios[7];
}

function timed(work) {
  const began = performance.now();
  for (let round = 0; round < rounds; round += 1) work();
  return performance.now() - began;
}

function sum(numbers) {
  return numbers.reduce((total, number) => total + number, 0);
}
