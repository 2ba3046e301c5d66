import { describe, expect, it } from 'vitest';
import { findMethod } from '@/core/methods/registry';
import type { Run } from '../runsheet/run';
import { stampPlaces, stampsIn } from './stamps';

/** Of a run only what stamps are read from: its method and its readings. */
const run = (method: string, values: Record<string, string> = {}): Run =>
  ({ method: findMethod(method), readings: { values } }) as unknown as Run;

describe('stamps of a sample on the phone', () => {
  const runs = new Map([
    ['s', run('slump', { liftStartedAt: '2031-05-14T10:14:20Z', liftEndedAt: '' })],
    ['t', run('concrete-temperature', { readAt: 'soon' })],
  ]);
  const places = stampPlaces(runs);
  it('each event has its place: the run and the field that stamp it', () => {
    expect(places.get('lift-start')).toMatchObject({ runId: 's', field: 'liftStartedAt' });
    expect(places.get('temperature-read')).toMatchObject({ runId: 't', field: 'readAt' });
    expect(places.has('air-read')).toBe(false);
  });
  it('only what can be read as an instant is one', () => {
    expect(stampsIn(places)).toEqual({ 'lift-start': Date.UTC(2031, 4, 14, 10, 14, 20) });
  });
  it('of a test made again the last attempt’s place counts', () => {
    const again = new Map([...runs, ['s2', run('slump')] as const]);
    expect(stampPlaces(again).get('lift-start')?.runId).toBe('s2');
    expect(stampsIn(stampPlaces(again))).toEqual({});
  });
});
