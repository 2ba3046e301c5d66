import { spawnSync } from 'node:child_process';
import { expect, it } from 'vitest';

function compute(args: readonly string[], input = '') {
  return spawnSync('node', ['node_modules/tsx/dist/cli.mjs', 'scripts/compute.ts', ...args], {
    input,
    encoding: 'utf8',
  });
}

it('lists and describes methods, and computes what it describes', () => {
  const list = JSON.parse(compute(['--list']).stdout) as { id: string }[];
  expect(list.map(({ id }) => id)).toEqual(
    expect.arrayContaining(['slump', 'air-volumetric', 'evaporation', 'cylinder-compression']),
  );
  const described = JSON.parse(compute(['cylinder-compression', '--describe']).stdout);
  expect(described.fields.find(({ name }: { name: string }) => name === 'maximumLoad')).toMatchObject({
    required: true,
    unit: { US: 'lbf', SI: 'kN' },
  });
  expect(described.limits.find(({ id }: { id: string }) => id === 'cylinder.loading-rate')).toMatchObject({
    US: '28 to 42 psi/s',
    SI: '0.20 to 0.30 MPa/s',
    status: 'recalled',
  });
  const answer = compute(['cylinder-compression', '-'], JSON.stringify(described.example.US));
  expect(answer.status).toBe(0);
  expect(JSON.parse(answer.stdout).results[0]).toMatchObject({ text: '4,920', unit: 'psi' });
});

it.each([
  [['cylinder-compression', '-'], '{', /not JSON/],
  [
    ['cylinder-compression', '-'],
    '{"input":{"system":"US","diameter1":"wide"}}',
    /input\.diameter1: .*not a number/,
  ],
  [['cylinder-compression', '/nowhere.json'], '', /cannot be read/],
  [['needle-drop'], '', /no method/],
  [[], '', /compute <method>/],
])('%o with %s ends with 2 and words', (args, input, words) => {
  const answer = compute(args as string[], input as string);
  expect(answer.status).toBe(2);
  expect(answer.stderr).toMatch(words as RegExp);
  expect(answer.stderr).not.toMatch(/\bat .*\.ts:\d+/);
  expect(answer.stdout).toBe('');
});
