import { UNITS, type UnitId } from '../quantity';
import type { Source } from '../working';
import type { LimitEntry, LimitValue, Sense } from './entry';

/** A row as it is written, before its group is known. */
export interface Row {
  readonly title: string;
  /** One value for both systems, or one for each. */
  readonly said: readonly string[];
  readonly source?: Source;
}

const VALUE = /^(<=|>=|=|±|)\s*(-?\d+(?:\.\d+)?)(?:\s+to\s+(-?\d+(?:\.\d+)?))?(?:\s+(\S.*))?$/u;
const unknownEdition = 'edition to be named by the laboratory';

/**
 * A row of the register.
 * @param title what is limited, as a person says it
 * @param said its value: `<= 0.002 in`, `>= 3`, `28 to 42 psi/s`, `± 0.5 h`, or `= 0.98` for what is no limit (a factor,
 *   a step, a dividing value); two of them where the systems have their own, inch-pound first. Then its source, where
 *   it is not the group's.
 */
export function r(title: string, ...said: readonly (string | Source)[]): Row {
  const source = said.find((each) => typeof each !== 'string');
  return {
    title,
    said: said.filter((each) => typeof each === 'string'),
    ...(source ? { source } : {}),
  };
}

/**
 * Rows that stand under one heading, each of the group's source where it names none. A published rule is `recalled`
 * until a laboratory confirms it.
 * @throws SyntaxError for a value that cannot be read
 */
export function group<K extends string>(
  name: string,
  source: Source,
  rows: Readonly<Record<K, Row>>,
): Record<K, LimitEntry> {
  const made = Object.entries<Row>(rows).map(([id, row]) => [id, entryOf(name, row, row.source ?? source)]);
  return Object.fromEntries(made);
}

function entryOf(group: string, { title, said }: Row, source: Source): LimitEntry {
  const [first, second] = said.map((text) => readValue(title, text));
  if (!first || said.length > 2) throw new SyntaxError(`${title}: one value is expected, or one a system`);
  if (second && second.sense !== first.sense) throw new SyntaxError(`${title}: two kinds of value`);
  return {
    group,
    title,
    source,
    edition: source.kind === 'standard' ? unknownEdition : '',
    status: source.kind === 'our choice' ? 'our choice' : 'recalled',
    ...(first.sense ? { sense: first.sense } : {}),
    ...(second ? { US: first.value, SI: second.value } : { both: first.value }),
  };
}

function readValue(title: string, text: string): { value: LimitValue; sense?: Sense } {
  const [, sign, one, other, words = ''] = VALUE.exec(text) ?? [];
  const unit = unitIn(words);
  if (one === undefined || !unit || (other === undefined) === (sign === ''))
    throw new SyntaxError(`${title}: "${text}" is no value`);
  if (other !== undefined) return { value: { low: one, high: other, unit } };
  if (sign === '>=') return { value: { low: one, unit } };
  const value = { high: one, unit };
  return sign === '<=' ? { value } : { value, sense: sign === '=' ? 'equal' : 'either way' };
}

/** A unit by its identifier, percent by its sign; nothing at all is a plain number. */
function unitIn(words: string): UnitId | undefined {
  if (words === '') return 'one';
  if (words === '%') return 'percent';
  return Object.hasOwn(UNITS, words) ? (words as UnitId) : undefined;
}
