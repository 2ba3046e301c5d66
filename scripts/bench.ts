import 'reflect-metadata';
import { METHODS, validateInput } from '../src/core/methods';
import { exact, parseMeasure, roundTo } from '../src/core/quantity';

/** Runs a piece of work for about a second and says how often a second it can be done. */
function perSecond(work: () => void): number {
  for (let warm = 0; warm < 50; warm += 1) work();
  const began = performance.now();
  let times = 0;
  while (performance.now() - began < 1000) {
    work();
    times += 1;
  }
  return (times * 1000) / (performance.now() - began);
}

// All ratios are against one plain piece of the same run, so that they mean the same on any machine.
const plain = perSecond(() => {
  let strength = 0;
  for (let index = 0; index < 1000; index += 1) strength += (61_870 + index) / ((Math.PI * 4.005 ** 2) / 4);
  if (!Number.isFinite(strength)) throw new Error('never');
});
const rows: [string, number][] = [
  ['1,000 strengths in plain binary arithmetic', plain],
  ['parsing "6 1/8 in"', perSecond(() => void parseMeasure('6 1/8 in', 'length', 'in'))],
  ['rounding 4,923.458… to 10', perSecond(() => void roundTo(exact('4923.45816454778'), '10'))],
];
for (const method of METHODS) {
  const { input, setup } = method.example('US');
  const good = validateInput(method, input, { whole: true });
  if (!good.ok) throw new Error(`the example of ${method.id} is not valid`);
  rows.push([`compute ${method.id}`, perSecond(() => void method.compute(good.value, setup))]);
  rows.push([`validate ${method.id}`, perSecond(() => void validateInput(method, input, { whole: true }))]);
}
for (const [name, rate] of rows) {
  process.stdout.write(
    `${name.padEnd(46)} ${rate.toFixed(0).padStart(10)} /s   1 : ${(plain / rate).toFixed(2)}\n`,
  );
}
