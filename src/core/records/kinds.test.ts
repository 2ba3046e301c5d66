import { describe, expect, it } from 'vitest';
import { RECORD_KINDS, type RecordKind } from './kinds';
import { recordProblem } from './record-problem';

const at = (minute: number): string => new Date(Date.UTC(2031, 8, 12, 12, minute)).toISOString();
/** Three rows of two columns, as a recorder of the kind sends them. */
const SENT = {
  temperature: [0, 10, 20].map((minute) => ({
    clock: at(minute),
    names: ['core', 'air'],
    temp: [20 + minute / 10, 8],
  })),
  heat: [0, 10, 20].map((minute) => ({ clock: at(minute), names: ['1', '2'], power: [0.1, minute / 10] })),
};
const KINDS = Object.entries(RECORD_KINDS) as [keyof typeof SENT, RecordKind][];

describe.each(KINDS)('a record of %s', (id, kind) => {
  const file = (): string => {
    const text = kind.fileOf(SENT[id]);
    if (text === undefined) throw new Error('no file');
    return text;
  };
  const guessed = (text = file()) => {
    const found = kind.guess(text);
    if (!found) throw new Error('not read');
    return found;
  };
  it('that was read out of its recorder is read without a question', () => {
    const { mapping, asks } = guessed();
    expect(asks).toEqual([]);
    const { record, unread } = kind.read(file(), mapping, 'America/New_York');
    expect(record.kind).toBe(id);
    expect([record.rows, unread, record.start]).toEqual([3, 0, at(0)]);
    expect(record.channels.map(({ name }) => name)).toEqual(SENT[id][0]?.names);
    expect(record.length).toBeCloseTo(1 / 3, 4);
  });
  it('is what is taken from outside, and nothing like it is', () => {
    const { record } = kind.read(file(), guessed().mapping, 'utc');
    expect(recordProblem(JSON.parse(JSON.stringify(record)))).toBeNull();
    expect(recordProblem({ ...record, channels: 'two' })).toMatch(/channels is a list/u);
    expect(recordProblem({ ...record, kind: 'weight' })).toBe('kind is temperature or heat.');
    expect(recordProblem(null)).toBe('kind is temperature or heat.');
  });
  it('leaves as CSV with its instants, a column for each', () => {
    const [head, first] = kind.csv(file(), guessed().mapping, 'utc').split('\r\n');
    for (const name of SENT[id][0]?.names ?? []) expect(head).toContain(name);
    expect(first?.startsWith(at(0))).toBe(true);
  });
  it('tells how far it has read', () => {
    const shares: number[] = [];
    kind.read(file(), guessed().mapping, 'utc', (share) => shares.push(share));
    expect(shares.at(-1)).toBe(1);
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
  });
  it('is none of what another recorder sends', () => {
    for (const [other, rows] of Object.entries(SENT))
      if (other !== id) expect(kind.fileOf(rows)).toBeUndefined();
    expect(kind.fileOf([])).toBeUndefined();
    expect(kind.guess('a letter\nto nobody')).toBeNull();
  });
  it('has units that can be chosen, and words for what is asked', () => {
    expect(kind.units.some(([unit]) => unit === guessed().mapping.unit)).toBe(true);
    expect(kind.askUnit).toMatch(/choose\.$/u);
    expect(kind.nameOf(undefined)).toBe('');
  });
});
