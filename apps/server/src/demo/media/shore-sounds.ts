/** Waves that come and go, and two gulls, synthesised: 8 seconds, mono, WAV. The same bytes each time. */
const sampleRate = 22_050;
const seconds = 8;

export function shoreSounds(): Buffer {
  const samples = new Float64Array(sampleRate * seconds);
  waves(samples);
  for (const [at, hertz] of [
    [2.2, 1500],
    [2.6, 1350],
    [5.4, 1600],
  ] as const)
    gull(samples, at, hertz);
  return wav(samples);
}

/** Noise through a low pass whose loudness swells every four seconds. */
function waves(samples: Float64Array): void {
  let state = 12_345;
  let smooth = 0;
  for (let index = 0; index < samples.length; index += 1) {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    smooth += (state / 2 ** 31 - 1 - smooth) * 0.08;
    const swell = 0.25 + 0.75 * Math.sin((index / sampleRate) * (Math.PI / 4)) ** 2;
    samples[index] = smooth * swell;
  }
}

/** A cry that falls. */
function gull(samples: Float64Array, at: number, hertz: number): void {
  let phase = 0;
  for (let index = 0; index < sampleRate * 0.35; index += 1) {
    const part = index / (sampleRate * 0.35);
    phase += ((hertz * (1 - 0.35 * part)) / sampleRate) * 2 * Math.PI;
    const place = Math.round(at * sampleRate) + index;
    samples[place] =
      (samples[place] ?? 0) + 0.1 * Math.sin(Math.PI * part) * (Math.sin(phase) + 0.4 * Math.sin(2 * phase));
  }
}

/** RIFF/WAVE with 16-bit PCM. */
function wav(samples: Float64Array): Buffer {
  const bytes = Buffer.alloc(44 + samples.length * 2);
  bytes.write('RIFF', 0);
  bytes.writeUInt32LE(36 + samples.length * 2, 4);
  bytes.write('WAVEfmt ', 8);
  bytes.writeUInt32LE(16, 16);
  bytes.writeUInt16LE(1, 20); // PCM
  bytes.writeUInt16LE(1, 22); // channels
  bytes.writeUInt32LE(sampleRate, 24);
  bytes.writeUInt32LE(sampleRate * 2, 28);
  bytes.writeUInt16LE(2, 32);
  bytes.writeUInt16LE(16, 34);
  bytes.write('data', 36);
  bytes.writeUInt32LE(samples.length * 2, 40);
  samples.forEach((value, index) =>
    bytes.writeInt16LE(Math.round(Math.max(-1, Math.min(1, value)) * 30_000), 44 + index * 2),
  );
  return bytes;
}
