// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { MethodId } from '@/core/methods/registry';
import { type Asked, opened, savedReadings, sheetData, standInServer } from '@/testing/sheet';
import { KeypadProvider } from '../field/Keypad';
import { RunFields } from './RunFields';
import { stepFields } from './run';
import { useRun } from './use-run';

let asked: readonly Asked[] = [];
const saved = () => savedReadings(asked);
beforeEach(() => {
  localStorage.clear();
  asked = standInServer();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const NOW = Date.UTC(2031, 5, 11, 14);
const EQUIPMENT = [
  { number: 'PRESS-1', kind: 'compression machine', name: 'First', verifiedOn: '2031-01-15' },
  { number: 'PRESS-2', kind: 'compression machine', name: 'Second', inService: false },
];
const beyond = vi.fn();

interface Stage {
  readonly method?: MethodId;
  readonly fields: readonly string[];
  readonly readings?: Readonly<Record<string, string>>;
  readonly readOnly?: boolean;
  readonly rhythm?: boolean;
  readonly showMissing?: boolean;
  readonly keypad?: boolean;
}

function Sheet({ method = 'cylinder-compression', fields, readings = {}, ...stage }: Stage) {
  const data = sheetData({
    method,
    readings,
    setup: { equipment: EQUIPMENT },
    rhythm: stage.rhythm ?? false,
  });
  const run = useRun(data, NOW);
  return (
    <KeypadProvider value={stage.keypad ?? false}>
      <RunFields
        run={run}
        data={data}
        fields={stepFields(run, fields)}
        readOnly={stage.readOnly ?? false}
        beyond={beyond}
        focus="first"
        showMissing={stage.showMissing ?? false}
      />
    </KeypadProvider>
  );
}

async function open(stage: Stage): Promise<void> {
  beyond.mockClear();
  await opened(stage.method ?? 'cylinder-compression', <Sheet {...stage} />);
  await waitFor(() => expect(document.activeElement).not.toBe(document.body));
}
const field = (name: string): HTMLInputElement =>
  document.querySelector(`[data-field="${name}"]`) as HTMLInputElement;
const type = (name: string, text: string): void =>
  void fireEvent.change(field(name), { target: { value: text } });
const key = (name: string, options = {}): void =>
  void fireEvent.keyDown(document.activeElement ?? document.body, { key: name, ...options });
const isSaved = (all: object): Promise<void> =>
  waitFor(() => expect(Object.fromEntries(saved().map(({ field: at, text }) => [at, text]))).toEqual(all));

describe('a number', () => {
  it('is taken by Enter, which goes on to the next and past the last', async () => {
    await open({ fields: ['diameter1', 'diameter2'] });
    expect(document.activeElement).toBe(field('diameter1'));
    type('diameter1', '4.01');
    key('Enter');
    expect(document.activeElement).toBe(field('diameter2'));
    type('diameter2', '4.00');
    key('Enter');
    expect(beyond).toHaveBeenLastCalledWith(1);
    await isSaved({ diameter1: '4.01', diameter2: '4.00' });
  });
  it('is gone back to with Shift and Enter, before the first too', async () => {
    await open({ fields: ['diameter1', 'diameter2'] });
    field('diameter2').focus();
    key('Enter', { shiftKey: true });
    expect(document.activeElement).toBe(field('diameter1'));
    key('Enter', { shiftKey: true });
    expect(beyond).toHaveBeenLastCalledWith(-1);
  });
  it('that cannot be stays in its field with the reason, and is not saved', async () => {
    await open({ fields: ['diameter1', 'length'] });
    type('diameter1', '400');
    key('Enter');
    expect(await screen.findByText(/400 cannot be/u)).toBeDefined();
    type('length', '8.02');
    fireEvent.blur(field('length'));
    await isSaved({ length: '8.02' });
    expect(field('diameter1').value).toBe('400');
  });
  it('is left alone on a sheet that may only be read; Enter still goes on', async () => {
    await open({ fields: ['diameter1', 'diameter2'], readings: { diameter1: '4.01' }, readOnly: true });
    key('Enter');
    expect(document.activeElement).toBe(field('diameter2'));
    fireEvent.blur(field('diameter1'));
    expect(saved()).toEqual([]);
  });
  it('that the method wants and nobody took is named when it is asked for', async () => {
    await open({ fields: ['diameter1'], showMissing: true });
    expect(screen.getByText(/Diameter.*: not taken yet/u)).toBeDefined();
  });
});

describe('an answer', () => {
  it('is given by its number, which goes on', async () => {
    await open({ fields: ['ends', 'diameter1'] });
    const second = screen.getAllByRole('button')[1]?.getAttribute('value');
    key('2');
    expect(document.activeElement).toBe(field('diameter1'));
    await isSaved({ ends: second });
  });
  it('is not given by passing it with Enter', async () => {
    await open({ fields: ['ends', 'diameter1'] });
    key('Enter');
    expect(document.activeElement).toBe(field('diameter1'));
    expect(saved().filter(({ text }) => text !== '')).toEqual([]);
  });
});

describe('a check of safety', () => {
  const guard = (): HTMLElement => screen.getByRole('button', { pressed: false });
  it('is passed by Enter without a tick, and answered by its own key', async () => {
    await open({ fields: ['zeroed', 'diameter1'] });
    expect(document.activeElement).toBe(guard());
    key('Enter');
    expect(document.activeElement).toBe(field('diameter1'));
    expect(saved()).toEqual([]);
    guard().focus();
    key('y');
    await isSaved({ zeroed: 'true' });
    expect(document.activeElement).toBe(field('diameter1'));
  });
  it('is taken back by a touch', async () => {
    await open({ fields: ['zeroed'], readings: { zeroed: 'true' } });
    fireEvent.click(screen.getByRole('button', { pressed: true }));
    await isSaved({ zeroed: '' });
  });
});

describe('a time', () => {
  it('is now at the key N, and typed in the zone of the job', async () => {
    await open({ fields: ['testedAt', 'diameter1'] });
    key('n');
    await waitFor(() => expect(saved()).toHaveLength(1));
    expect(Math.abs(Date.parse(saved()[0]?.text ?? '') - Date.now())).toBeLessThan(120_000);
    expect(document.activeElement).toBe(field('diameter1'));
    type('testedAt', '2031-06-11T09:30');
    // 09:30 in New York in June is 13:30 in Greenwich: a fact of the zone database.
    await waitFor(() => expect(saved().at(-1)?.text).toBe('2031-06-11T13:30:00.000Z'));
  });
});

describe('a piece of equipment', () => {
  it('is offered while it is in service; one that is named and not there is said to be so', async () => {
    await open({ fields: ['machine'], readings: { machine: 'PRESS-9' } });
    const words = screen.getAllByRole('button').map((button) => button.textContent);
    expect(words).toEqual(['1PRESS-1 First', '2PRESS-9, not in the register or out of service']);
  });
  it('that there is none of is said', async () => {
    await open({ fields: ['calliper', 'diameter1'] });
    expect(screen.getByText(/there is no calliper in the register yet/u)).toBeDefined();
  });
});

describe('specimen after specimen', () => {
  it('Enter asks only for what is not there yet', async () => {
    await open({
      fields: ['diameter1', 'diameter2', 'length', 'maximumLoad'],
      readings: { diameter1: '4.01' },
      rhythm: true,
    });
    expect(document.activeElement).toBe(field('diameter2'));
    type('diameter2', '4.00');
    key('Enter');
    expect(document.activeElement).toBe(field('maximumLoad'));
  });
});

describe('the keypad of the field', () => {
  const press = (name: string): void => void fireEvent.click(screen.getByRole('button', { name }));
  it('writes digits and fractions, one fraction for another, and takes the reading', async () => {
    await open({ method: 'slump', fields: ['slump', 'shape'], keypad: true });
    for (const each of ['4', '½', '¼']) press(each);
    expect(field('slump').value).toBe('4 ¼');
    press('Delete the last');
    press('½');
    press('Take the reading');
    await isSaved({ slump: '4 ½' });
  });
  it('offers the other units, and a colon for a time', async () => {
    await open({ method: 'concrete-temperature', fields: ['temperature'], keypad: true });
    for (const each of ['2', '4', '°C']) press(each);
    expect(field('temperature').value).toBe('24 °C');
    press('Take the reading');
    await isSaved({ temperature: '24 °C' });
    cleanup();
    await open({ method: 'slump', fields: ['liftTime'], keypad: true });
    for (const each of ['0', ':', '0', '5']) press(each);
    expect(field('liftTime').value).toBe('0:05');
  });
});
