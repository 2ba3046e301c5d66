import { isWithin } from '../../limits';
import { CRITERIA } from '../../materials/brick/criteria';
import { BRICK } from '../../materials/brick/forms';
import { LIMITS as ROWS } from '../../materials/brick/limits';
import type { Exact, System, UnitId } from '../../quantity';
import { bySeverity, type Finding, numbered, Sheet, standard } from '../../working';
import type { Method, Outcome, Result } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { exampleInput } from '../example';
import { asked, factMeasure } from '../facts';
import { fieldsOf, readMeasure } from '../fields';
import { limitFinding } from '../limit-finding';
import { resultOf } from '../outcome';
import { LENGTH_UNIT } from '../press/units';
import { wholeRows } from '../rows-field';
import { limitsOf, type RunSetup } from '../setup';
import { BrickSizeInput } from './input';

const ID = 'brick-size';
const C67 = standard('ASTM C67/C67M');
const SIDES = [
  ['width', 'W', 'thickness'],
  ['height', 'H', 'height'],
  ['length', 'L', 'length'],
] as const;

/**
 * Sizes of a whole brick, how far they are off, its warpage and the share of its voids.
 * @param input in or mm, sand in mL
 * Source: ASTM C67/C67M 12 to 16 (from memory).
 */
function compute(input: BrickSizeInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const results: Result[] = [];
  const unit = LENGTH_UNIT[system];
  const findings: Finding[] = equipmentUse(input, { calliper: 'departure' }, input.measuredAt, setup, limits);
  const step = limits.number('brick.size-step', system);
  const give = (quantity: string, symbol: string, value: Exact, as: UnitId = unit, to = step): void => {
    results.push(resultOf({ quantity, symbol, value, unit: as, step: to, mode }));
  };
  const rows = wholeRows(input.places);
  const mean: Partial<Record<'width' | 'height' | 'length', Exact>> = {};
  for (const [side, symbol, word] of SIDES) {
    const read = rows.flatMap((row) => readMeasure(row, side)?.value ?? []);
    if (read.length === 0) continue;
    const uses = numbered(symbol, read);
    const value = sheet.line({
      symbol,
      name: `Mean ${word}`,
      formula: `(${Object.keys(uses).join(' + ')}) / ${read.length}`,
      uses,
      unit,
      source: C67,
      round: { step, rule: `to ${limits.of('brick.size-step', system).text}` },
    });
    mean[side] = value;
    give(`mean ${side}`, symbol, value);
    const specified = factMeasure(setup, side, 'length', unit);
    if (specified) give(`${side} variation`, `v${symbol}`, value.minus(specified).abs());
  }
  const [warp, square, sand] = (['warp', 'square', 'sand'] as const).map(
    (name) => readMeasure(input, name)?.value,
  );
  if (warp) give('warpage', 'w', warp);
  if (square) give('out of square', 'q', square);
  const { width: W, height: H, length: L } = mean;
  if (sand && W && H && L) {
    const k = limits.number('brick.millilitres', system);
    const percent = limits.number('brick.percent-step', system);
    const voids = sheet.line({
      symbol: 'Vv',
      name: 'Voids',
      formula: '100 * V / (k * L * W * H)',
      uses: { V: sand, k, L, W, H },
      unit: 'percent',
      source: C67,
      round: { step: percent, rule: `to ${limits.of('brick.percent-step', system).text}` },
    });
    give('voids', 'Vv', voids, 'percent', percent);
    if (!isWithin(voids, limits.of('brick.hollow', system)))
      findings.push(
        limitFinding(
          limits,
          system,
          { id: 'brick.hollow', severity: 'invalid', fields: ['sand'] },
          {
            message: `Its voids come to ${voids.toFixed(1)} %.`,
            action: 'No brick is so hollow: pour the sand out and measure it again.',
          },
        ),
      );
  }
  return {
    results,
    lines: sheet.lines,
    findings: bySeverity(findings),
    verdicts: [],
    picture: {
      kind: 'brick',
      values: {
        width: W?.toNumber() ?? null,
        height: H?.toNumber() ?? null,
        length: L?.toNumber() ?? null,
        unit,
        places: rows.length,
        warp: warp?.toNumber() ?? null,
        warped: input.warped ?? null,
      },
    },
  };
}

/** Sizes, warpage and voids of a whole brick. */
export const brickSize: Method<BrickSizeInput> = {
  id: ID,
  title: 'Sizes of brick',
  designations: [C67],
  runOn: 'specimen',
  forms: [BRICK],
  spends: false,
  facts: {
    product: asked('product', 'text'),
    type: asked('type', 'text'),
    width: asked('width', { dimension: 'length' }),
    height: asked('height', { dimension: 'length' }),
    length: asked('length', { dimension: 'length' }),
  },
  columns: [
    { heading: 'W', of: ['=W'] },
    { heading: 'H', of: ['=H'] },
    { heading: 'L', of: ['=L'] },
    { heading: 'Voids', of: ['=Vv'] },
  ],
  yields: [
    { quantity: 'mean length', symbol: 'L' },
    { quantity: 'mean width', symbol: 'W' },
    { quantity: 'mean height', symbol: 'H' },
    { quantity: 'width variation', symbol: 'vW' },
    { quantity: 'height variation', symbol: 'vH' },
    { quantity: 'length variation', symbol: 'vL' },
    { quantity: 'warpage', symbol: 'w' },
    { quantity: 'out of square', symbol: 'q' },
    { quantity: 'voids', symbol: 'Vv' },
  ],
  Input: BrickSizeInput,
  steps: [
    {
      id: 'sizes',
      title: 'Sizes',
      phase: 'test',
      instruction: 'Dry and whole, before it is halved: each dimension at four places.',
      fields: ['calliper', 'places'],
    },
    {
      id: 'form',
      title: 'Warpage, squareness, voids',
      phase: 'test',
      instruction:
        'Straightedge across the face and its diagonals. Cores filled with dry sand, struck level.',
      fields: ['warp', 'warped', 'square', 'sand', 'measuredAt', 'remarks'],
      caution: 'Dry sand and brick dust carry silica: no blowing, damp cloth.',
    },
  ],
  performedAt: 'measuredAt',
  set: {
    word: 'Sizes of the bricks',
    quantity: 'mean length',
    by: [],
    combine: 'each alone',
    step: 'brick.size-step',
    criteria: CRITERIA.filter(({ by }) => by.includes(ID)).map(({ id }) => id),
    derivedBy: ROWS,
  },
  plan: (system: System, setup) => {
    const limit = limitsOf(setup).of('brick.solid', system);
    return [{ label: limit.title, text: limit.text, note: 'above that it is a hollow brick, C652' }];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(BrickSizeInput), system), system },
    setup: {
      zone: 'America/New_York',
      specimen: { label: 'EXAMPLE-B1', form: BRICK },
      facts:
        system === 'US'
          ? { product: 'c216', type: 'fbs', width: '3.625 in', height: '2.25 in', length: '7.625 in' }
          : { product: 'c216', type: 'fbs', width: '92 mm', height: '57 mm', length: '194 mm' },
      equipment: [{ number: 'CALLIPER-1', kind: 'calliper', verifiedOn: '2031-02-03' }],
    },
  }),
};
