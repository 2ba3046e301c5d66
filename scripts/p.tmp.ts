import 'reflect-metadata';
import { findMethod, validateInput } from '../src/core/methods';

for (const id of ['cylinder-compression', 'slump']) {
  const m = findMethod(id)!;
  const { input, setup } = m.example('US');
  const g = validateInput(m, input, { whole: true });
  if (!g.ok) throw 1;
  const f = () => m.compute(g.value, setup);
  for (let i = 0; i < 2000; i++) f();
  const t = performance.now();
  for (let i = 0; i < 4000; i++) f();
  console.log(id, (4000 / ((performance.now() - t) / 1000)).toFixed(0), '/s');
}
