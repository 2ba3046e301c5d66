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
  it('people by their name, moments as they are written down; who wrote and when it was kept stand beside it anyway', () => {
    const said = {
      person: (id: string) => (id === 'p1' ? 'A person' : undefined),
      moment: (iso: string) => iso.slice(0, 10),
    };
    expect(
      trailChanges(
        { by: 'p2', completed_by: null, at: '2031-05-14T13:30:00+00:00' },
        {
          by: 'p1',
          completed_by: 'p1',
          at: '2031-06-14T13:30:00+00:00',
          saved_at: '2031-06-14T13:30:01+00:00',
        },
        said,
      ),
    ).toEqual([
      { field: 'completed by', before: '', after: 'A person' },
      { field: 'at', before: '2031-05-14', after: '2031-06-14' },
    ]);
  });
  it('what is long is cut, and what is no text stands as data', () => {
    expect(trailValue('x'.repeat(400))).toHaveLength(162);
    expect([trailValue(null), trailValue(7), trailValue({ a: true })]).toEqual(['', '7', '{"a":true}']);
  });
});
