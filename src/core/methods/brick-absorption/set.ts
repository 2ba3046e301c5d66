import type { DeriveAbout, Derived } from '../../acceptance/set-rule';
import { ALTERNATES, alternatesOf } from '../../materials/brick/alternates';
import { type Exact, exact, largest, meanOf, roundedText } from '../../quantity';
import { numbered, plain, Sheet, standard } from '../../working';

const C67 = standard('ASTM C67/C67M');

/**
 * What the halves of a sample say besides their absorption by boiling: cold absorption, and the saturation coefficient as
 * the mean of theirs, never as the share of two means.
 * Source: ASTM C67/C67M 8 (from memory).
 */
export function derives(_: Exact, about: DeriveAbout): Derived {
  const { pieces, limits, mode } = about;
  const sheet = new Sheet(mode);
  const said: (readonly [string, string])[] = [];
  const values: Record<string, string> = {};
  const of = (quantity: string): Exact[] =>
    pieces.flatMap(({ used, quantities }) => {
      const text = quantities[quantity];
      return used && text !== undefined ? [exact(text)] : [];
    });
  for (const [quantity, word, symbol, id, unit] of [
    ['boiling absorption', 'boiling absorption', 'Ab', 'brick.percent-step', 'percent'],
    ['cold absorption', 'cold absorption', 'Ac', 'brick.percent-step', 'percent'],
    ['saturation coefficient', 'saturation', 'SC', 'brick.saturation-step', 'one'],
  ] as const) {
    const all = of(quantity);
    if (all.length === 0) continue;
    const step = limits.number(id, 'US');
    const round = { step, rule: `to ${limits.of(id, 'US').text}` };
    const uses = numbered(symbol, all);
    const mean = sheet.line({
      symbol: `${symbol}m`,
      name: `Mean ${quantity}`,
      formula: `(${Object.keys(uses).join(' + ')}) / ${all.length}`,
      uses,
      unit,
      source: C67,
      round,
    });
    values[`mean ${word}`] = plain(meanOf(all), 15);
    values[`greatest ${word}`] = plain(largest(all), 15);
    const end = unit === 'percent' ? ' %' : '';
    said.push([`Mean ${quantity}`, `${roundedText(mean, step, mode)}${end}`]);
    said.push([`Greatest ${quantity}`, `${roundedText(largest(all), step, mode)}${end}`]);
  }
  const used = alternatesOf({
    asked: about.asked,
    said: (name) => about.said?.(name),
    found: (quantity) => (values[quantity] === undefined ? undefined : exact(values[quantity])),
    limits,
    system: about.system,
  });
  return {
    values,
    said,
    lines: sheet.lines,
    remarks: used.map((each) => `${ALTERNATES[each]}: what it waives is not asked for.`),
  };
}
