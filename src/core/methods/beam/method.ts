import type { SetRule } from '../../acceptance/set-rule';
import type { System } from '../../quantity';
import type { Source } from '../../working';
import type { Method } from '../contract';
import { pressed } from '../press';
import { type Arrangement, RUPTURE } from './arrangement';
import { computeBeam } from './compute';
import { BEAM_FACTS } from './facts';
import type { BeamInput } from './input';
import { beamPlan } from './plan';
import { pressOf } from './press';
import { sizeOf } from './sizes';
import { beamSteps } from './steps';

interface Own<I extends BeamInput> {
  readonly id: string;
  readonly title: string;
  readonly designations: readonly Source[];
  readonly forms: readonly string[];
  readonly Input: new () => I;
  readonly arrangement: Arrangement;
  readonly set: Pick<SetRule, 'word' | 'spread' | 'schools' | 'criteria'>;
  readonly load: Readonly<Record<System, string>>;
}

/** A method that bends a beam to its break, from how it is loaded. */
export function beamMethod<I extends BeamInput>(own: Own<I>): Method<I> {
  const { id, title, designations, forms, Input, arrangement, set, load } = own;
  const { contact, fetch, measure, ...steps } = beamSteps(arrangement);
  const press = pressOf(arrangement);
  return pressed<I>({
    id,
    title,
    designations,
    forms,
    Input,
    facts: BEAM_FACTS,
    plannedWhen: (said) => (said('flexuralLoading') ?? 'third') === arrangement.kind,
    yields: [
      { quantity: RUPTURE, symbol: 'R' },
      { quantity: 'density', symbol: 'rho' },
    ],
    steps: { ...steps, fetch, measure, contact },
    press,
    columns: [
      { heading: 'Width × depth', of: ['=b', '=d'] },
      { heading: 'Span', of: ['span'] },
      { heading: 'Load', of: ['maximumLoad'] },
      { heading: 'Break from support', of: ['=a'] },
      { heading: 'Contacts', of: [...arrangement.contacts] },
    ],
    set: {
      ...set,
      quantity: RUPTURE,
      by: ['age', 'cure'],
      combine: 'mean',
      step: 'beam.step',
      wanted: 'beam.count',
    },
    sequence: [['since', 'waterFrom', 'outOfMoistAt', 'testedAt']],
    plan(system, setup) {
      const input = Object.assign(new Input(), { system });
      return beamPlan(press.test(input, setup), arrangement, sizeOf(input, setup)?.depth, setup, system);
    },
    compute: (input, setup) => computeBeam(input, setup, arrangement),
    example: (system) => ({
      form: system === 'US' ? 'beam-6x6x21' : 'beam-150x150x530',
      input: {
        maximumLoad: load[system],
        outOfMoistAt: '2031-06-11T08:52:00-04:00',
      },
      facts: {
        cure: 'standard',
        specifiedStrength: system === 'US' ? '4,450 psi' : '31 MPa',
        flexuralStrength: system === 'US' ? '610 psi' : '4.2 MPa',
      },
    }),
  });
}
