import { convert, exact, roundedText } from '@/core/quantity';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';

/** What a record of a break came to: loads in the unit of the run, the mean rate in psi/s or MPa/s. */
interface Figures {
  readonly peak: number;
  /** What a machine that was followed held in its own display. */
  readonly display?: number;
  readonly meanRate: number | null;
  readonly at?: string;
  /** Why the machine stopped by itself. */
  readonly stop?: 'drop' | 'set' | undefined;
}

/** Takes the figures of a record into the run's readings. What somebody read off stands: nothing is written over. */
export function takeFigures(
  run: Run,
  { system }: RunSheetData,
  { peak, display, meanRate, at, stop }: Figures,
): void {
  const fields = run.method.press?.fields;
  if (!fields) return;
  const fill = (name: string | undefined, text: string): void => {
    if (name && !run.readings.values[name]) run.readings.save(name, text);
  };
  const us = system === 'US';
  const plain = (value: Parameters<typeof roundedText>[0], step: string): string =>
    roundedText(value, step).replaceAll(',', '');
  // Of a beam bent by its displacement the display is read by itself, by eye or over the line: it checks the record.
  if (!run.method.bends) fill(fields.load, plain(exact(peak), us ? '10' : '0.1'));
  else if (display !== undefined) fill(fields.load, plain(exact(display), us ? '1' : '0.01'));
  if (stop) fill(fields.ended, stop);
  const rate = fields.rate ? run.fields.get(fields.rate) : undefined;
  if (meanRate !== null && rate?.kind === 'measure') {
    // A method may read its rate by the minute.
    const value = convert(exact(meanRate), us ? 'psi/s' : 'MPa/s', rate.unit[system]);
    fill(rate.name, plain(value, us ? '0.1' : '0.001'));
  }
  if (at) fill(fields.at, at);
}
