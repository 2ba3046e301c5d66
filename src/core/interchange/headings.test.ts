import { describe, expect, it } from 'vitest';
import { previewImport } from '.';
import { headingsIn } from './headings';

const FILE = [
  'Serial;Moment;RH, %;Slab degF;Air degF;Air RH;Note',
  'RH-0412;2031-03-03 11:05;84.9;70;72;48;dry outside',
  'RH-0412;2031-03-10 11:00;83.2;70;72;46;',
  'RH-0412;2031-03-10 11:00;83.2;70;72;46;',
].join('\r\n');
const CALLED = {
  serial: 'specimen',
  moment: 'read_at',
  'rh, %': 'humidity_percent',
  'slab degf': 'slab_temperature_degf',
  'air degf': 'air_temperature_degf',
  'air rh': 'air_humidity_percent',
};
const known = (label: string) =>
  label === 'RH-0412'
    ? {
        label: 'TST-001-H1',
        system: 'US' as const,
        refused: null,
        zone: 'America/New_York',
        readAt: [Date.parse('2031-03-10T15:00:00Z')],
      }
    : undefined;

describe('a file with headings of its own', () => {
  it('may call a column as it likes', () =>
    expect(previewImport('constructor,specimen\n1,RH-0412', 'slab-humidity', known).ignoredColumns).toEqual([
      'constructor',
    ]));
  it('takes what says what a column is, and nothing else', () => {
    expect(headingsIn({ serial: 'specimen', rh: 7 })).toEqual({ serial: 'specimen' });
    for (const none of [null, undefined, 'serial', 7]) expect(headingsIn(none)).toEqual({});
  });
  it('says which columns nobody knows, also where even the specimen is not named', () => {
    const preview = previewImport(FILE, 'slab-humidity', known);
    expect(preview.problems).toEqual(['There is no column named "specimen".']);
    expect(preview.ignoredColumns).toContain('serial');
    expect(previewImport(FILE, 'slab-humidity', known, CALLED).ignoredColumns).toEqual(['note']);
  });
  it('is read by the serial number, its times in the zone of the job; what was read at that moment is told', () => {
    const { rows } = previewImport(FILE, 'slab-humidity', known, CALLED);
    expect(rows.map(({ label }) => label)).toEqual(['TST-001-H1', 'TST-001-H1', 'TST-001-H1']);
    expect(rows[0]?.input.readAt).toBe('2031-03-03T16:05:00.000Z');
    const about = rows.map(({ errors }) =>
      errors.filter(({ column }) => column === 'specimen').map(({ message }) => message),
    );
    expect(about).toEqual([
      [],
      // 11:00 in New York, summer time since the day before.
      ['"TST-001-H1" was read at that moment already.'],
      ['"TST-001-H1" stands on line 3 already.', '"TST-001-H1" was read at that moment already.'],
    ]);
  });
  it('of a test that is made once has a specimen once only', () => {
    const text = 'specimen\nA\nA';
    const { rows } = previewImport(text, 'cylinder-compression', (label) => ({
      label,
      system: 'US',
      refused: null,
    }));
    expect(rows[1]?.errors.map(({ message }) => message)).toContain('"A" stands on line 2 already.');
  });
});
