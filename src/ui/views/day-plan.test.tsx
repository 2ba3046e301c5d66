// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { DayPlan } from './DayPlan';

afterEach(cleanup);

const TESTS = [
  {
    id: 'a',
    title: 'Consistency',
    day: { hands: [{ from: 0, minutes: 20, what: 'Pastes' }], takes: 1300 },
  },
  {
    id: 'b',
    title: 'Setting',
    day: {
      hands: [
        { from: 0, minutes: 10, what: 'Ring' },
        { from: 37, minutes: 2, what: 'Fall', every: 15, until: 67 },
      ],
      after: ['a'],
      takes: 650,
      later: [{ hours: 24, what: 'Out of the mould' }],
    },
  },
];
const shown = (chosen: readonly string[]) =>
  render(<DayPlan tests={TESTS} chosen={chosen} today="2031-11-01" zone="America/New_York" />);

it('lays a day out from the moment it begins, with what is weighed out and what the next day wants', () => {
  shown(['a', 'b']);
  expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
    'Consistency 08:00 to 08:20, Setting 08:20 to 09:29',
  );
  expect(screen.getByText('Hands are free at 09:29')).toBeTruthy();
  expect(screen.getByText('Setting: not earlier, after consistency.')).toBeTruthy();
  expect(screen.getByText('1,950 g of the sample.')).toBeTruthy();
  // A day of elapsed hours over the end of daylight saving: an hour earlier by the clock.
  expect(screen.getByText('Sun 2 Nov, 07:20: Out of the mould (setting).')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Begin at'), { target: { value: '13:30' } });
  expect(screen.getByText('Hands are free at 14:59')).toBeTruthy();
});

it('is laid out anew for what is chosen, and says what to do where nothing is', () => {
  shown(['a', 'b']);
  fireEvent.click(screen.getByLabelText('Consistency'));
  expect(screen.getByText('Hands are free at 09:09')).toBeTruthy();
  fireEvent.click(screen.getByLabelText('Setting'));
  expect(screen.getByText(/^Choose what is to be made/u)).toBeTruthy();
});

it('a time that is none is told at its field, and the day stays', () => {
  shown(['a']);
  fireEvent.change(screen.getByLabelText('Begin at'), { target: { value: '25:00' } });
  expect(screen.getByText('Give a time of day, such as 07:30.')).toBeTruthy();
  expect(screen.getByText('Hands are free at 08:20')).toBeTruthy();
});
