import { plainRecord, type TemperatureRecord } from '../../temperature';

/** Hours and rows of the example's record. */
const LENGTH_H = 72;
const STEP_H = 0.5;

/** A record of concrete that warms and cools, with the air beside it, made up. */
export function exampleRecord(start = '2031-05-14T12:00:00.000Z'): TemperatureRecord {
  const hours = Array.from({ length: LENGTH_H / STEP_H + 1 }, (_, row) => row * STEP_H);
  const age = (hour: number): number => Math.max(0, hour - 1);
  const concrete = hours.map((hour) =>
    hour < 1 ? 18 : 20 + 12 * (age(hour) / 11) ** 2 * Math.exp(2 * (1 - age(hour) / 11)) - age(hour) / 40,
  );
  return plainRecord(
    hours,
    {
      concrete: concrete.map((each) => Math.round(each * 10) / 10),
      air: hours.map((hour) => Math.round(10 * (16 + 4 * Math.sin(hour / 4))) / 10),
    },
    start,
  );
}

/** What a run of a method with a record is set up with, for descriptions and tests. */
export function exampleSetup() {
  return {
    zone: 'America/New_York',
    lot: { label: 'EXAMPLE' },
    equipment: [{ number: 'LOGGER-1', kind: 'logger', verifiedOn: '2031-01-20' }],
    records: { record: exampleRecord() },
  };
}
