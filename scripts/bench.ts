import 'reflect-metadata';
import { guessHeat, heatCurve, MODEL_CEMENT, modelPower, readHeat } from '../src/core/calorimetry';
import { validateInput } from '../src/core/methods';
import { METHODS } from '../src/core/methods/registry';
import { exact, parseMeasure, roundTo } from '../src/core/quantity';
import { analyseBend, analyseLog, guessMapping, type LogMapping, readLoadLog } from '../src/core/signals';
import { analyseRecord, compareSensors, guessRecord, readRecord } from '../src/core/temperature';
import { openError, openPairs } from '../src/testing/open-gain';

/**
 * Runs a piece of work for about a second and says how often a second it can be done. It runs for half a second
 * before that: a laboratory's server is not started anew for each test.
 */
function perSecond(work: () => void): number {
  const until = performance.now() + 500;
  while (performance.now() < until) work();
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

// A million rows of a press: the analysis against one plain pass over the same arrays, and reading them from text.
const ROWS = 1_000_000;
const seconds = Float64Array.from({ length: ROWS }, (_, index) => index / 10_000);
const load = seconds.map((t) =>
  t < 95 ? 600 * t + 3 * Math.sin(40 * t) : Math.max(500, 57_000 - 90_000 * (t - 95)),
);
const once = (work: () => unknown): number => {
  work();
  const began = performance.now();
  work();
  return performance.now() - began;
};
const pass = once(() => {
  let [sum, most] = [0, 0];
  for (let index = 0; index < ROWS; index += 1) {
    const value = load[index] ?? 0;
    sum += value * ((seconds[index] ?? 0) - (seconds[index - 1] ?? 0));
    if (value > most) most = value;
  }
  return sum + most;
});
const criteria = { share: { remark: 10, review: 30 }, underRead: { remark: 0.5, review: 1 } };
const analysis = once(() =>
  analyseLog({ seconds, load, area: 12.566, stress: 1, low: 28, high: 42, criteria }),
);
const text = `time_s,load_lbf\n${Array.from(seconds, (t, index) => `${t.toFixed(4)},${(load[index] ?? 0).toFixed(0)}`).join('\n')}`;
const mapping = guessMapping(text) as LogMapping;
const reading = once(() => readLoadLog(text, mapping, 'lbf'));
for (const [name, took] of [
  ['one plain pass over 1,000,000 rows', pass],
  ['analysis of 1,000,000 rows', analysis],
  ['reading 1,000,000 rows of text', reading],
] as const) {
  process.stdout.write(
    `${name.padEnd(46)} ${took.toFixed(0).padStart(10)} ms  ${(took / pass).toFixed(1)} : 1\n`,
  );
}

// A beam record of 100,000 rows: peak, cracks, stiffness, energies, against one plain pass over the same arrays.
const BENT = 100_000;
const displacement = Float64Array.from({ length: BENT }, (_, index) => (6 * index) / BENT);
const force = displacement.map((d) => (d < 0.4 ? 60_000 * d : 18_000 + 2500 * d) + 20 * Math.sin(900 * d));
const bentPass = once(() => {
  let work = 0;
  for (let index = 1; index < BENT; index += 1)
    work += (force[index] ?? 0) * ((displacement[index] ?? 0) - (displacement[index - 1] ?? 0));
  return work;
});
const bent = once(() => analyseBend({ displacement, force, toe: true, at: [0.75, 3] }));
process.stdout.write(
  `${'analysis of a beam record of 100,000 rows'.padEnd(46)} ${bent.toFixed(0).padStart(10)} ms  ${(bent / bentPass).toFixed(1)} : 1\n`,
);

// A record of a calorimeter of 1,000,000 rows, read, averaged and searched, against one plain pass over the same numbers.
const heatLog = [
  't s,A mW',
  ...Array.from({ length: ROWS }, (_, row) => {
    const hours = (row * 0.6) / 3600;
    return `${(row * 0.6).toFixed(1)},${(hours < 2 ? 0.05 : 8 * modelPower(MODEL_CEMENT, hours - 2)).toFixed(4)}`;
  }),
].join('\n');
const guessedHeat = guessHeat(heatLog);
if (!guessedHeat) throw new Error('never');
const readHeatLog = once(() => readHeat(heatLog, guessedHeat.mapping, 'UTC'));
const { record: heatRecord } = readHeat(heatLog, guessedHeat.mapping, 'UTC');
const [heatChannel] = heatRecord.channels;
if (!heatChannel) throw new Error('never');
let contact = 2;
const searched = once(() => {
  // Another contact each time: a curve is kept by what it is asked with.
  contact += 1e-6;
  return heatCurve(heatRecord, heatChannel, { grams: 8, contact, from: 0.75, lag: 0, faster: 1 });
});
for (const [name, took] of [
  ['reading 1,000,000 rows of a calorimeter', readHeatLog],
  ['curve and periods of one of its cells', searched],
] as const)
  process.stdout.write(
    `${name.padEnd(46)} ${took.toFixed(0).padStart(10)} ms  ${(took / pass).toFixed(1)} : 1\n`,
  );

// A temperature log of 200,000 rows of two sensors, read and analysed, against one plain pass over the same arrays; two of them
// laid over one another; and how far 28 days are off when they are told from an early break, on open data.
const LOGGED = 200_000;
const logged = (row: number, off: number): string => {
  const t = row / 60;
  return (20 + off + 14 * (t / 11) ** 2 * Math.exp(2 * (1 - t / 11)) + 0.1 * Math.sin(row)).toFixed(2);
};
const log = [
  'time,core °C,surface °C',
  ...Array.from(
    { length: LOGGED },
    (_, row) =>
      `${new Date(Date.UTC(2031, 0, 1) + row * 60_000).toISOString().slice(0, 19)},${logged(row, 0)},${logged(row, 0.7)}`,
  ),
].join('\n');
const guessedLog = guessRecord(log);
if (!guessedLog) throw new Error('never');
const rawLog = readRecord(log, guessedLog.mapping, 'UTC');
const loggedPass = once(() => {
  let area = 0;
  for (const values of rawLog.celsius)
    for (let row = 1; row < LOGGED; row += 1)
      area += (values[row] ?? 0) * ((rawLog.seconds[row] ?? 0) - (rawLog.seconds[row - 1] ?? 0));
  return area;
});
const readLogged = once(() => readRecord(log, guessedLog.mapping, 'UTC'));
const analysed = once(() => analyseRecord(rawLog, guessedLog.mapping.names));
const [firstSensor, secondSensor] = analyseRecord(rawLog, guessedLog.mapping.names).channels;
const compared = once(() => firstSensor && secondSensor && compareSensors(firstSensor, secondSensor));
for (const [name, took] of [
  ['one plain pass over 200,000 rows of two sensors', loggedPass],
  ['reading them from text', readLogged],
  ['analysing them', analysed],
  ['laying the two over one another', compared],
] as const)
  process.stdout.write(
    `${name.padEnd(46)} ${took.toFixed(0).padStart(10)} ms  ${(took / loggedPass).toFixed(1)} : 1\n`,
  );
const gainRules = { shown: 10, relied: 30, usual: 0.7, usualLeast: 0.6, usualMost: 0.82 };
for (const [age, alone] of [
  [7, false],
  [3, false],
  [7, true],
] as const) {
  const { pairs, bias, spread, within } = openError(openPairs(age), gainRules, alone);
  process.stdout.write(
    `28 d from ${age} d${alone ? ' by usual shares' : ', each mix by the others'}, ${pairs} mixes of open data: off by ${bias.toFixed(2)} MPa on the mean, ${spread.toFixed(1)} MPa root mean square; ${(100 * within).toFixed(0)} % within nine in ten\n`,
  );
}

// Four presses at fifty readings a second each, followed as the web server follows them: from the device's own
// timestamp to the moment a listener of the server has the reading. The browser adds one frame of at most 60 ms.
const { PressServer } = await import('../src/devices/press/press-server');
const { pressStandIn } = await import('../src/devices/press/stand-in');
const { PressFeed } = await import('../src/server/press/feed');
const numbers = ['B-1', 'B-2', 'B-3', 'B-4'];
const servers = numbers.map(
  (number, index) => new PressServer({ number, port: 0, device: pressStandIn(index) }),
);
const delays: number[] = [];
const leaves: (() => void)[] = [];
for (const server of servers) {
  const feed = new PressFeed({ host: '127.0.0.1', port: await server.start() });
  leaves.push(
    feed.subscribe({
      readings: (lines) => {
        const arrived = Date.now();
        for (const { at } of lines) delays.push(arrived - at);
      },
    }),
  );
}
await new Promise((resolve) => setTimeout(resolve, 4000));
for (const leave of leaves) leave();
for (const server of servers) await server.stop();
const sorted = delays.toSorted((a, b) => a - b);
const share = (part: number): number => sorted[Math.floor(part * (sorted.length - 1))] ?? 0;
process.stdout.write(
  `live readings of four presses, ${delays.length} in 4 s: half within ${share(0.5)} ms, 99 % within ${share(0.99)} ms, the slowest ${share(1)} ms\n`,
);
