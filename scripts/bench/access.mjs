// How often the access check is right: a confusion matrix over page shapes, a third of them written before the rules.
import { drawnByScript, judgeShapes, lettingIn, locking, readShapes } from '../access-corpus/access-corpus.mjs';

export async function bench() {
  const [inView, heldOut, second, unseen] = [
    await judgeShapes(readShapes('in-view')),
    await judgeShapes(readShapes('held-out')),
    await judgeShapes(readShapes('second-look')),
    await judgeShapes(readShapes('unseen')),
  ];
  printMatrix([...inView, ...heldOut, ...second, ...unseen]);
  for (const { name, expect, verdict } of [...inView, ...heldOut, ...second].filter(
    (result) => result.verdict !== result.expect,
  ))
    console.log(`  ${name}: ${expect} expected, ${verdict} said`);
  const all = ['in-view', 'held-out', 'second-look', 'unseen'].flatMap(readShapes);
  console.log('\n  with a browser, where the application would let it look:');
  const seen = await judgeShapes(all, true);
  printMatrix(seen);
  const drawn = drawnByScript(all);
  const drawnSeen = await judgeShapes(drawn, true);
  console.log('\n  the same pages drawn by scripts, with a browser:');
  printMatrix(drawnSeen);
  for (const { name, expect, verdict } of drawnSeen)
    if (locking.includes(expect) && lettingIn.includes(verdict))
      console.log(`  ${name}: ${expect} expected, ${verdict} said`);
  const before = [...inView, ...heldOut, ...second, ...unseen];
  for (const [index, { name, expect, verdict }] of seen.entries())
    if (verdict !== before[index].verdict)
      console.log(`  ${name}: ${expect} expected, ${before[index].verdict} without a browser, ${verdict} with it`);
  return [
    ...rows('in view', inView),
    ...rows('held out', heldOut),
    ...rows('second look', second),
    ...rows('unseen', unseen),
    ...rows('all, with a browser', seen),
    ...rows('drawn by scripts, without a browser', await judgeShapes(drawn)),
    ...rows('drawn by scripts, with a browser', drawnSeen),
  ];
}

function rows(which, results) {
  const opens = results.filter(({ expect }) => lettingIn.includes(expect));
  const share = (count, of) => `${count} of ${of}`;
  return [
    {
      what: `${which}: exactly the verdict expected`,
      value: share(results.filter(({ expect, verdict }) => expect === verdict).length, results.length),
      target: '',
    },
    {
      what: `${which}: locked pages called open`,
      value: share(
        results.filter(({ expect, verdict }) => locking.includes(expect) && lettingIn.includes(verdict)).length,
        results.length - opens.length,
      ),
      target: 'none',
    },
    {
      what: `${which}: alarms on pages that open`,
      value: share(
        opens.filter(({ verdict }) => !lettingIn.includes(verdict) && verdict !== 'unknown').length,
        opens.length,
      ),
      target: 'at most 2 %',
    },
  ];
}

/** Expected verdicts down, said ones across. */
function printMatrix(results) {
  const verdicts = [...new Set(results.flatMap(({ expect, verdict }) => [expect, verdict]))];
  console.log(`  ${''.padEnd(15)}${verdicts.map((verdict) => verdict.slice(0, 9).padStart(10)).join('')}`);
  for (const expected of verdicts) {
    const counts = verdicts.map(
      (said) => results.filter(({ expect, verdict }) => expect === expected && verdict === said).length,
    );
    console.log(`  ${expected.padEnd(15)}${counts.map((count) => String(count || '·').padStart(10)).join('')}`);
  }
}
