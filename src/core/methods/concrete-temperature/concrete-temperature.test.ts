import { expect, it } from 'vitest';
import { type Facts, usableInput } from '..';
import { concreteTemperature } from '.';

function outcomeOf(input: Record<string, unknown>, facts: Facts = {}) {
  const { input: usable } = usableInput(concreteTemperature, { system: 'US', ...input });
  return concreteTemperature.compute(usable, { facts });
}

// ASTM C1064 rounding to 1 °F [0.5 °C]; 95 °F [35 °C] of ACI 301 when the project names none (from memory).
it.each([
  ['US', '71.4', '71', 'meets'],
  ['US', '94.5', '94', 'meets'],
  ['US', '95.4', '95', 'meets'],
  ['US', '95.5', '96', 'does not meet'],
  ['SI', '22.75', '23.0', 'meets'],
  ['SI', '22.7', '22.5', 'meets'],
  ['US', '22 °C', '72', 'meets'],
])('%s %s is %s: %s', (system, temperature, text, verdict) => {
  const outcome = outcomeOf({ system, temperature });
  expect(outcome.results[0]?.text).toBe(text);
  expect(outcome.verdicts[0]?.state).toBe(verdict);
});

it('holds the project’s own limits, both ends', () => {
  const facts = { temperatureMaximum: '85 °F', temperatureMinimum: '55 °F' };
  expect(outcomeOf({ temperature: '86' }, facts).verdicts[0]?.state).toBe('does not meet');
  expect(outcomeOf({ temperature: '52.6' }, facts).verdicts[0]?.state).toBe('does not meet');
  expect(outcomeOf({ temperature: '55' }, facts).verdicts[0]?.state).toBe('meets');
});

it.each([
  [{ dwell: '1:40' }, 'temperature.dwell'],
  [{ cover: '2.5' }, 'temperature.cover'],
  [{ readDelay: '5:01' }, 'temperature.complete'],
])('%o is found', (input, id) => {
  expect(outcomeOf(input).findings.map((found) => found.id)).toEqual([id]);
});

it('asks about the other scale', () => {
  expect(outcomeOf({ temperature: '22' }).findings[0]?.message).toContain('°C');
});
