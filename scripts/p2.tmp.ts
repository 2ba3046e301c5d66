import 'reflect-metadata';
import inspector from 'node:inspector';
import { findMethod, validateInput } from '../src/core/methods';

const s = new inspector.Session();
s.connect();
const id = process.argv[2]!;
const m = findMethod(id)!;
const { input, setup } = m.example('US');
const g = validateInput(m, input, { whole: true });
if (!g.ok) throw 1;
const f = () => m.compute(g.value, setup);
for (let i = 0; i < 2000; i++) f();
s.post('Profiler.enable');
s.post('Profiler.start');
for (let i = 0; i < 6000; i++) f();
s.post('Profiler.stop', (e, { profile }) => {
  const self = new Map<string, number>();
  const dt = profile.timeDeltas!;
  const byId = new Map(profile.nodes.map((n) => [n.id, n]));
  profile.samples!.forEach((sid, i) => {
    const n = byId.get(sid)!;
    const k =
      n.callFrame.functionName +
      ' ' +
      n.callFrame.url.split('/').slice(-2).join('/') +
      ':' +
      n.callFrame.lineNumber;
    self.set(k, (self.get(k) ?? 0) + dt[i]!);
  });
  const tot = [...self.values()].reduce((a, b) => a + b, 0);
  for (const [k, v] of [...self].sort((a, b) => b[1] - a[1]).slice(0, 28))
    console.log(((v / tot) * 100).toFixed(1) + '%', k);
});
