import { describe, expect, it } from 'vitest';
import { trailChanges, trailValue, trailWord } from './words';

describe('an entry of the trail in words', () => {
  it('calls rows as people do', () => {
    expect(trailWord('run_reasons')).toBe('reason');
    expect(trailWord('something_new')).toBe('something new');
  });
  it('says what changed, and passes over what only ties rows together', () => {
    expect(
      trailChanges(
        { id: 'a', run_id: 'b', text: '58,300', reason: null, about: { a: 1 } },
        { id: 'a', run_id: 'c', text: '58,400', reason: 'read again', about: { a: 1 } },
      ),
    ).toEqual([
      { field: 'text', before: '58,300', after: '58,400' },
      { field: 'reason', before: '', after: 'read again' },
    ]);
  });
  it('of a new row all that stands in it, of one that is gone all that stood in it', () => {
    expect(trailChanges(null, { taken_at: '2031', text: null })).toEqual([
      { field: 'taken at', before: '', after: '2031' },
    ]);
    expect(trailChanges({ note: 'x' }, null)).toEqual([{ field: 'note', before: 'x', after: '' }]);
    expect(trailChanges(null, null)).toEqual([]);
  });
  it('what is long is cut, and what is no text stands as data', () => {
    expect(trailValue('x'.repeat(400))).toHaveLength(162);
    expect([trailValue(null), trailValue(7), trailValue({ a: true })]).toEqual(['', '7', '{"a":true}']);
  });
});
