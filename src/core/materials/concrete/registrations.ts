import type { Registration } from '../../material/registration';
import { coreWindow } from '../../methods/core-compression';
import { InstantField, RunInput } from '../../methods/fields';
import { BroughtWithStrength, formsIn, registerBrought } from '../brought';

const HOUR = 3_600_000;

/** What is told of cores that were drilled. */
class Drilled extends RunInput {
  @InstantField({ label: 'Drilled at', required: true, example: '2031-06-12T09:10:00-04:00' })
  drilledAt?: string;
}

/**
 * Cores drilled out of the concrete of a sample whose strength test is questioned. Their window counts from the
 * drilling; it closes earlier in truth when they are wetted later, which their run says.
 */
const cores: Registration = {
  id: 'cores',
  begin: 'Cores drilled',
  title: 'Cores for this sample’s concrete',
  intro:
    'Sealed within an hour, wetted last within two days, tested at least five days after that and at most seven days after drilling: the window is short. Steel, tendons and conduits are found by a licensed survey first.',
  done: 'The cores are registered, with their window.',
  countHelp: 'Three for a questioned strength test.',
  usual: 3,
  most: 12,
  place: 'Where: member, grid, depth',
  forms: (_, system) => formsIn(system, 'core'),
  Input: Drilled,
  event: 'drilled',
  bench: true,
  afterMade: true,
  register({ drilledAt }, { limits, system, madeAt = 0 }) {
    const drilled = Date.parse(String(drilledAt));
    if (drilled < madeAt)
      return { ok: false, errors: { drilledAt: 'Drilled before the concrete was placed.' } };
    const { opensAt, closesAt } = coreWindow(String(drilledAt), undefined, {
      dry: limits.number('core.dry', system).toNumber(),
      test: limits.number('core.test', system).toNumber(),
    }) ?? { opensAt: drilled, closesAt: drilled };
    return {
      ok: true,
      value: {
        since: madeAt,
        at: drilled,
        about: { cure: 'field', specifiedStrength: null },
        ageHours: Math.round((closesAt - madeAt) / HOUR),
        opensAt,
        closesAt,
      },
    };
  },
};

/**
 * Grout prisms and mortar cubes brought to the laboratory with a sample: from here on they have a window, a label and a
 * run in the press. How they were made is not told here.
 */
const small: Registration = {
  id: 'small',
  begin: 'Prisms or mortar cubes',
  title: 'Grout prisms or mortar cubes',
  intro:
    'They get labels and windows of their own, and a run in the press. How they were made is kept on their own form.',
  done: 'They are registered, with their window.',
  countHelp: 'Three of one age.',
  usual: 3,
  most: 12,
  place: 'Where they stand',
  forms: (_, system) => formsIn(system, 'grout prism', 'mortar cube'),
  Input: BroughtWithStrength,
  initial: { ageDays: '28' },
  event: 'moulded',
  register: registerBrought,
};

export const registers = [small, cores];
