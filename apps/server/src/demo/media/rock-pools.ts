/** Drawings of what lives between the tides, as SVG for sharp: nobody's photographs. */
const frame = (water: string, inside: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="1600" height="1100" viewBox="0 0 1600 1100">
<rect width="1600" height="1100" fill="#cfc6b4"/><path d="M0 780 Q260 640 520 760 T1040 740 T1600 780 V1100 H0Z" fill="#a89b83"/>
<path d="M150 620 Q300 330 800 330 T1450 620 Q1380 930 800 950 T150 620Z" fill="${water}"/><path d="M300 560 Q520 440 800 450" stroke="#ffffff" stroke-opacity="0.5" stroke-width="16" fill="none"/>${inside}</svg>`;

const limpet = (x: number, y: number, size: number): string => {
  const ribs = Array.from({ length: 9 }, (_, index) => {
    const angle = Math.PI + (index + 1) * (Math.PI / 10);
    return `<path d="M${x} ${y - size * 0.55} L${x + Math.cos(angle) * size} ${y - Math.sin(angle) * size * -0.12}" stroke="#5d5443" stroke-width="6"/>`;
  }).join('');
  return `<path d="M${x - size} ${y} Q${x - size * 0.3} ${y - size * 0.75} ${x} ${y - size * 0.6} Q${x + size * 0.3} ${y - size * 0.75} ${x + size} ${y} Q${x} ${y + size * 0.3} ${x - size} ${y}Z" fill="#8a7b5c"/>${ribs}`;
};

const crab = `<ellipse cx="800" cy="640" rx="210" ry="130" fill="#b05a3c"/>${[-1, 1].map((side) => `${[0, 1, 2].map((leg) => `<path d="M${800 + side * 170} ${620 + leg * 45} q${side * 130} ${-50 + leg * 30} ${side * 190} ${60 + leg * 30}" stroke="#8a4129" stroke-width="26" fill="none"/>`).join('')}<path d="M${800 + side * 150} 560 q${side * 120} -150 ${side * 40} -220" stroke="#8a4129" stroke-width="34" fill="none"/><circle cx="${800 + side * 190}" cy="330" r="62" fill="#b05a3c"/><circle cx="${800 + side * 60}" cy="505" r="20" fill="#1d232e"/>`).join('')}`;

const weed = [430, 560, 980, 1120]
  .map(
    (x, index) =>
      `<path d="M${x} 880 q${index % 2 === 0 ? -90 : 90} -140 0 -260 q${index % 2 === 0 ? 80 : -80} -110 10 -210" stroke="#2f6b3d" stroke-width="44" stroke-linecap="round" fill="none"/>`,
  )
  .join('');

export const rockPools: Readonly<Record<'limpets' | 'shore-crab' | 'weed', string>> = {
  limpets: frame('#6fa39a', limpet(560, 700, 190) + limpet(1010, 760, 130) + limpet(860, 560, 100)),
  'shore-crab': frame('#7fa9b8', crab),
  weed: frame('#5f9a86', weed),
};
