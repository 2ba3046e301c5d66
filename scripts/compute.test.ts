import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { command } from './lib/compute-command';

const compute = (args: readonly string[], input = '') =>
  command(args, (file) => (file === '-' ? input : readFileSync(file, 'utf8')));

it('lists and describes methods, and computes what it describes', () => {
  const list = compute(['--list']).out as { id: string }[];
  expect(list.map(({ id }) => id)).toEqual(
    expect.arrayContaining(['slump', 'air-volumetric', 'evaporation', 'cylinder-compression']),
  );
  const described = compute(['cylinder-compression', '--describe']).out as {
    fields: { name: string }[];
    limits: { id: string }[];
    example: { US: object };
  };
  expect(described.fields.find(({ name }) => name === 'maximumLoad')).toMatchObject({
    required: true,
    unit: { US: 'lbf', SI: 'kN' },
  });
  expect(described.limits.find(({ id }) => id === 'cylinder.loading-rate')).toMatchObject({
    US: '28 to 42 psi/s',
    SI: '0.20 to 0.30 MPa/s',
    status: 'recalled',
  });
  const answer = compute(['cylinder-compression', '-'], JSON.stringify(described.example.US));
  expect(answer.status).toBe(0);
  expect((answer.out as { results: object[] }).results[0]).toMatchObject({ text: '4,920', unit: 'psi' });
});

it('says on the command line what it says here, results on one side and what is wrong on the other', () => {
  const run = (args: readonly string[], input: string) =>
    spawnSync('node', ['node_modules/tsx/dist/cli.mjs', 'scripts/compute.ts', ...args], {
      input,
      encoding: 'utf8',
    });
  const { example } = compute(['slump', '--describe']).out as { example: { US: object } };
  const good = run(['slump', '-'], JSON.stringify(example.US));
  expect([good.status, good.stderr]).toEqual([0, '']);
  expect(JSON.parse(good.stdout)).toEqual(compute(['slump', '-'], JSON.stringify(example.US)).out);
  expect(run(['slump', '-'], '{')).toMatchObject({
    status: 2,
    stdout: '',
    stderr: expect.stringMatching(/^file: this is not JSON/u),
  });
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
  expect(answer.error).toMatch(words as RegExp);
  expect(answer.out).toBeUndefined();
});
