import { readFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { Devices, openRuns, signIn } from './lib/devices.mjs';
import { ownDemo } from './lib/own-demo.mjs';
import { main, say } from './lib/say.mjs';

// Saves readings without a pause while every process of the application is killed in turn, and left to the supervisor.
// Counts what was acknowledged against what is there (an acknowledged reading is never lost and never doubled), and the
// longest time in which none could be saved.
//   npm run kill -- --kills 30
const at = process.argv.indexOf('--kills');
const KILLS = at < 0 ? 30 : Number(process.argv[at + 1]);

await main(async () => {
  const { application, asked, end } = await ownDemo('kill', { port: 3960, webs: 2 });
  const parts = () => JSON.parse(readFileSync(application.standing, 'utf8')).parts;
  const { url } = application;
  const devices = new Devices(() => url, await signIn(url), await asked((client) => openRuns(client, 8)));
  const names = parts().map(({ name }) => name);
  const stood = new Map(names.map((name) => [name, 0]));
  for (let kill = 0; kill < KILLS; kill += 1) {
    await pause(1000 + Math.random() * 2000);
    const name = names[kill % names.length];
    const before = devices.acknowledged.size;
    const killed = Date.now();
    process.kill(parts().find((each) => each.name === name).pid, 'SIGKILL');
    // Over when everything runs again and a reading is saved after what was on its way.
    await pause(600);
    const still = devices.acknowledged.size;
    while (devices.acknowledged.size === still || parts().some(({ state }) => state !== 'running'))
      await pause(20);
    const longest = devices.longest(killed);
    stood.set(name, Math.max(stood.get(name), longest));
    say(
      `${kill + 1}: ${name} killed after ${before} readings; longest without one ${(longest / 1000).toFixed(1)} s`,
    );
  }
  await pause(1500);
  await devices.stop();
  const { lost, doubled } = await asked((client) => devices.held(client));
  await end();
  const words = [...stood].map(([name, ms]) => `${name} ${(ms / 1000).toFixed(1)} s`).join(', ');
  process.stdout.write(
    `${KILLS} kills; ${devices.acknowledged.size} readings acknowledged, ${lost} lost, ${doubled} doubled; longest without one: ${words}\n`,
  );
  process.exitCode = lost + doubled > 0 ? 1 : 0;
});
