/**
 * Reed-Solomon error correction codewords over GF(2^8) with the polynomial x^8 + x^4 + x^3 + x^2 + 1 (ISO/IEC 18004, 7.5.2
 * and annex A). The generator polynomial of degree n has the roots alpha^0 to alpha^(n-1).
 */
const fieldPolynomial = 0x11d;
/** alpha^n twice over, so that sums of logarithms need no reduction. */
const exponentials = new Uint8Array(510);
const logarithms = new Uint8Array(256);
for (let power = 0, value = 1; power < 255; power += 1) {
  exponentials[power] = value;
  exponentials[power + 255] = value;
  logarithms[value] = power;
  value <<= 1;
  if (value > 255) value ^= fieldPolynomial;
}

function multiply(a: number, b: number): number {
  return a === 0 || b === 0 ? 0 : (exponentials[(logarithms[a] ?? 0) + (logarithms[b] ?? 0)] ?? 0);
}

const generators = new Map<number, Uint8Array>();

/** Logarithms of the generator's coefficients below the leading 1, highest power first. None of them is zero in any degree used. */
function generatorLogarithms(degree: number): Uint8Array {
  const known = generators.get(degree);
  if (known) return known;
  let polynomial = Uint8Array.of(1);
  for (let root = 0; root < degree; root += 1) {
    const next = new Uint8Array(polynomial.length + 1);
    polynomial.forEach((coefficient, index) => {
      next[index] = (next[index] ?? 0) ^ coefficient;
      next[index + 1] = multiply(coefficient, exponentials[root] ?? 0);
    });
    polynomial = next;
  }
  const logs = polynomial.slice(1).map((coefficient) => logarithms[coefficient] ?? 0);
  generators.set(degree, logs);
  return logs;
}

/** Writes the error correction codewords of `data` into `ecc`, whose length says how many there are. */
export function writeErrorCorrection(data: Uint8Array, ecc: Uint8Array): void {
  const degree = ecc.length;
  const generator = generatorLogarithms(degree);
  // Long division in place: each step clears the next data codeword, what is left in the end is the remainder.
  const rest = new Uint8Array(data.length + degree);
  rest.set(data);
  for (let index = 0; index < data.length; index += 1) {
    const factor = rest[index] ?? 0;
    if (factor === 0) continue;
    const log = logarithms[factor] ?? 0;
    for (let at = 0, to = index + 1; at < degree; at += 1, to += 1)
      rest[to] = (rest[to] ?? 0) ^ (exponentials[(generator[at] ?? 0) + log] ?? 0);
  }
  ecc.set(rest.subarray(data.length));
}
