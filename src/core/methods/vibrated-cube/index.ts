import { CRITERIA } from '../../materials/cement/criteria';
import { LIMITS as ROWS } from '../../materials/cement/limits';
import { mouldOf, sizesOf } from '../../moulds';
import { exact, type System } from '../../quantity';
import { bySeverity, Sheet, standard } from '../../working';
import type { Outcome, PressUse } from '../contract';
import { equipmentUse } from '../equipment-checks';
import { readMeasure } from '../fields';
import { AFTER_CUBE, SMALL_CUBE } from '../mortar-cube';
import { faultFindings } from '../mortar-cube/compute';
import { compressiveStrength, FORCE_FACTOR, PRESS_FIELDS, pressed, specimenFindings } from '../press';
import { limitsOf, type RunSetup } from '../setup';
import { VibratedCubeInput } from './input';

const IS4031 = standard('IS 4031-6');
const SIDE = exact(mouldOf('mortar-70').across);
/** The side as the press is told it, in or mm. */
const sideIn = (system: System) => (system === 'SI' ? SIDE : SIDE.div('25.4'));

const PRESS: PressUse<VibratedCubeInput> = {
  steps: { setup: 'spacers', load: 'load' },
  fields: { ...PRESS_FIELDS, rate: 'loadingRate' },
  test({ system }, setup) {
    const limits = limitsOf(setup);
    return {
      area: limits.number('vibrated-cube.area', system),
      factor: exact(FORCE_FACTOR[system]),
      band: limits.of('vibrated-cube.rate', system),
      from: 'start',
      width: sideIn(system),
      height: sideIn(system),
      ends: 'bare',
      measured: true,
    };
  },
};

/**
 * Compressive strength of one cube of vibrated mortar.
 * @param input load in lbf or kN
 * @returns f = P / A, A being the 50 cm² that the method counts with (its true face is 0.3 % less); to 0.5 MPa
 * Source: IS 4031-6 (from memory).
 */
function compute(input: VibratedCubeInput, setup: RunSetup): Outcome {
  const { system } = input;
  const limits = limitsOf(setup);
  const mode = setup.rounding ?? 'half-even';
  const sheet = new Sheet(mode);
  const load = readMeasure(input, 'maximumLoad')?.value;
  const area = limits.number('vibrated-cube.area', system);
  return {
    results:
      load && !load.isZero()
        ? [
            compressiveStrength(sheet, {
              ...{ load, area, system, limits, mode },
              ...{ step: 'vibrated-cube.step', source: IS4031, symbols: { load: 'P', strength: 'f' } },
            }),
          ]
        : [],
    lines: sheet.lines,
    findings: bySeverity([
      ...specimenFindings(input, setup, limits),
      ...equipmentUse(input, { machine: 'invalid' }, input.testedAt, setup, limits),
      ...faultFindings(input),
    ]),
    verdicts: [],
    picture: {
      kind: 'mortar cube',
      values: {
        side: Number(sideIn(system).toFixed(2)),
        faces: input.faces ?? null,
        found: input.found ?? null,
        broken: Boolean(load),
      },
    },
  };
}

/** Compressive strength of the vibrated cubes of a cement. Order of work: IS 4031-6 (from memory), in our own words. */
export const vibratedCube = pressed<VibratedCubeInput>({
  id: 'vibrated-cube',
  title: 'Vibrated mortar cube',
  designations: [IS4031],
  forms: sizesOf('vibrated cube'),
  yields: [{ quantity: 'compressive strength', symbol: 'f' }],
  Input: VibratedCubeInput,
  steps: {
    measure: [
      {
        id: 'cube',
        title: 'Look the cube over',
        phase: 'before',
        instruction: 'Out of the water only now, wiped, free of grit. It is loaded on its sides.',
        fields: ['found', 'faces'],
      },
    ],
    load: {
      instruction: 'Nothing between cube and plates. One steady rate from the first load to the end.',
      fields: ['loadingRate'],
      caution: SMALL_CUBE,
    },
    after: AFTER_CUBE,
  },
  press: PRESS,
  set: {
    word: 'Vibrated cubes',
    quantity: 'compressive strength',
    by: ['age', 'cure'],
    // IS 4031-6 (from memory): those farther than a tenth from the mean are not considered; of fewer than two it is made again.
    combine: 'near the mean',
    step: 'vibrated-cube.step',
    fewest: 'vibrated-cube.fewest',
    wanted: 'vibrated-cube.count',
    criteria: CRITERIA.flatMap(({ id, by }) => (by.includes('vibrated-cube') ? [id] : [])),
    derivedBy: ROWS,
    spread: {
      measure: 'farthest',
      rows: { any: 'vibrated-cube.off' },
      place: 1,
      beyond: 'no mean',
      bad: 'The test is made again.',
    },
  },
  compute,
  example: (system) => ({
    form: 'mortar-70',
    facts: { cure: 'standard' },
    input: { maximumLoad: system === 'US' ? '50,600' : '225.1' },
  }),
});
