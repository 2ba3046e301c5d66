import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { METHODS } from '../methods/registry';
import { RECORD_FORMAT, RECORD_VERSION } from './run-record';

const text = readFileSync('docs/formats.md', 'utf8');
/** What stands behind a key in the table of the run record. */
const said = (key: string): string => new RegExp(`^\\| \`${key}\` \\| (.*) \\|$`, 'mu').exec(text)?.[1] ?? '';

// What is written down of a format is read by people who write programs against it.
it('the formats name every method, in the order of the work, and no other', () => {
  const named = [...said('method').matchAll(/`([^`]+)`/gu)].map(([, id]) => id);
  expect(named).toEqual(METHODS.map(({ id }) => id));
});

it('the formats name the record as it is written', () => {
  expect(said('format')).toBe(`\`"${RECORD_FORMAT}"\``);
  expect(said('version')).toContain(`\`${RECORD_VERSION}\``);
});
