import { describe, expect, it } from 'vitest';
import { rowsFor, strangerFindings } from './batch-rows';

const row = (specimen: string | undefined, id: string) =>
  ({ id, system: 'US', ...(specimen ? { specimen } : {}) }) as const;
const rows = [row('U1', 'a'), row('U2', 'b'), row('U1', 'c'), row(undefined, 'd')];
const setup = { batch: { label: 'B-1', seed: 1, specimens: [{ label: 'U1' }, { label: 'U2' }] } };

describe('the rows of a batch', () => {
  it('are found by their specimen, in the order they were begun', () => {
    expect(rowsFor(rows, 'U1').map(({ id }) => id)).toEqual(['a', 'c']);
    expect(rowsFor(rows, 'U9')).toEqual([]);
    expect(rowsFor(undefined, 'U1')).toEqual([]);
  });
  it('of a stranger are said once each, whichever batch there is', () => {
    expect(strangerFindings(rows, 'units', setup)).toEqual([]);
    const [found, ...more] = strangerFindings([...rows, row('U9', 'e'), row('U9', 'f')], 'units', setup);
    expect(more).toEqual([]);
    expect(found).toMatchObject({
      id: 'units.strange',
      message: 'Not of this batch: U9.',
      fields: ['units'],
    });
    // Without a batch nothing is a stranger: a file computed by itself.
    expect(strangerFindings([row('U9', 'e')], 'units', {})).toEqual([]);
  });
});
