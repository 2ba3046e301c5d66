import { expect, it } from 'vitest';
import { readBetween } from './read-between';
import { unitConditioning } from './unit-conditioning';
import { unitReceiving } from './unit-receiving';

const at = (hour: number) => `2031-06-11T${String(hour).padStart(2, '0')}:00:00Z`;
const hours = (span: ReturnType<typeof readBetween>) =>
  span && [span.from, span.to].map((ms) => new Date(ms).getUTCHours());

it('is from the first to the last moment that was read, rows of other specimens left aside', () => {
  const typed = {
    receivedAt: at(12),
    units: [{ specimen: 'U1', at: at(8) }, { specimen: 'U2', at: at(9) }, { at: 'soon' }],
  };
  expect(hours(readBetween(unitReceiving, typed))).toEqual([8, 12]);
  expect(hours(readBetween(unitReceiving, typed, 'U2'))).toEqual([9, 12]);
  expect(hours(readBetween(unitConditioning, { placedAt: at(7), takenAt: '' }))).toEqual([7, 7]);
  expect(readBetween(unitConditioning, { way: 'room' })).toBeNull();
});
