// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { MixBeats } from './MixBeats';

const called: [number, number][] = [];
let wanted = false;
vi.mock('../field/alarm', () => ({
  alarmWanted: () => wanted,
  wantAlarm: (on: boolean) => {
    wanted = on;
  },
  signal: (pitch: number, seconds: number) => void called.push([pitch, seconds]),
}));
const MET = Date.UTC(2031, 8, 12, 12);
beforeEach(() => {
  called.length = 0;
  wanted = false;
  vi.useFakeTimers({ now: MET });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

const stamps: string[] = [];
const beats = (more: Partial<Parameters<typeof MixBeats>[0]> = {}) => {
  stamps.length = 0;
  render(<MixBeats mixed="mortar" school="astm" begun={(at) => void stamps.push(at)} {...more} />);
};
const pass = (seconds: number) => act(() => vi.advanceTimersByTime(seconds * 1000));
const begin = () => fireEvent.click(screen.getByRole('button', { name: 'Water meets cement' }));

// ASTM C305 (from memory): 30 s slow, 30 s with the sand, 30 s medium, scraped within 15 s, stands to 180 s, 60 s medium.
it('says beforehand what will be done, and each beat as it comes, with what is left of it', () => {
  beats();
  expect(screen.getByText(/^0 to 30 s slow, cement in; 30 to 60 s slow, all sand in/u)).toBeTruthy();
  begin();
  expect(stamps).toEqual([new Date(MET).toISOString()]);
  for (const [at, say] of [
    [10, 'Slow, cement in'],
    [40, 'Slow, all sand in, evenly'],
    [70, 'Medium'],
    [95, 'Stop, scrape down'],
    [120, 'Cover it, let it stand'],
    [200, 'Medium'],
  ] as const) {
    const passed = (Date.now() - MET) / 1000;
    pass(at - passed);
    expect(screen.getByText(say), `at ${at} s`).toBeTruthy();
    expect(screen.getByText(`${at} s`)).toBeTruthy();
  }
  expect(screen.getByText('40')).toBeTruthy();
  expect(screen.getByText('then it is mixed')).toBeTruthy();
  pass(41);
  expect(screen.getByText('Mixed.')).toBeTruthy();
  expect(screen.queryByRole('progressbar')).toBeNull();
});

it('begins by the space bar, and another batch by its own button with a stamp of its own', () => {
  beats();
  fireEvent.keyDown(document.body, { key: ' ' });
  expect(stamps.length).toBe(1);
  pass(300);
  fireEvent.click(screen.getByRole('button', { name: 'Another batch: water meets cement' }));
  expect(stamps).toEqual([new Date(MET).toISOString(), new Date(MET + 300_000).toISOString()]);
  expect(screen.getByText('Slow, cement in')).toBeTruthy();
});

it('shows what is watched after it, counted from its end', () => {
  beats({ after: (seconds) => <p>{`filled ${Math.round(seconds)} s after`}</p> });
  begin();
  pass(250);
  expect(screen.getByText('filled 10 s after')).toBeTruthy();
});

it('is silent until it is asked to sound; then it calls each beat, and three seconds ahead of it', () => {
  beats({ mixed: 'paste' });
  begin();
  pass(40);
  expect(called).toEqual([]);
  cleanup();
  beats({ mixed: 'paste' });
  fireEvent.click(screen.getByRole('switch', { name: 'Sound' }));
  expect(wanted).toBe(true);
  begin();
  pass(20);
  expect(called).toEqual([[990, 0.4]]);
  pass(8);
  expect(called.at(-1)).toEqual([660, 0.1]);
  pass(3);
  expect(called.at(-1)).toEqual([990, 0.4]);
  expect(called.length).toBe(3);
});

// EN 196-3 (from memory): 90 s slow, 30 s still, 90 s slow.
it('beats as the school does', () => {
  beats({ mixed: 'paste', school: 'en' });
  begin();
  pass(100);
  expect(screen.getByText('Stop, scrape down')).toBeTruthy();
  expect(screen.getByText('20')).toBeTruthy();
  pass(111);
  expect(screen.getByText('Mixed.')).toBeTruthy();
});
