import type { Registration } from '../../material/registration';
import { coreWindow } from '../../methods/core-compression';
import { InstantField, MeasureField, RunInput } from '../../methods/fields';
import { isMould } from '../../moulds';
import { ageWindow } from '../../windows';
import { AGE_IN_DAYS, BroughtWithStrength, formsIn, registerBrought } from '../brought';

const HOUR = 3_600_000;
const refused = (errors: Readonly<Record<string, string>>) => ({ ok: false, errors }) as const;

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

/** What is told of beams that were sawn out of a slab. */
class Sawn extends RunInput {
  @InstantField({ label: 'Sawn at', required: true, example: '2031-06-09T10:20:00-04:00' })
  sawnAt?: string;

  @MeasureField({ ...AGE_IN_DAYS, help: 'Of the concrete when they are broken, whole days.', example: '28' })
  ageDays?: string;
}

/**
 * Beams sawn out of a slab. They are as old as its concrete, and go into lime water from the saw: their window opens when
 * they lay in it as long as is asked for, however early the age begins.
 */
const sawn: Registration = {
  id: 'sawn',
  begin: 'Beams sawn',
  title: 'Beams sawn out of this sample’s concrete',
  intro:
    'About 6 × 6 in [150 × 150 mm], at least three depths and 2 in [50 mm] long, sawn wet and never dried: in lime water from the saw to the test. Mark the top as it lay. Steel, tendons and conduits are found by a licensed survey first; the saw’s dust is silica.',
  done: 'The beams are registered, with their window.',
  countHelp: 'Two at least for a mean.',
  usual: 2,
  most: 12,
  place: 'Where: bay, from which joint',
  forms: (_, system) => formsIn(system, 'sawn beam'),
  Input: Sawn,
  initial: { ageDays: '28' },
  event: 'sawn',
  bench: true,
  afterMade: true,
  register({ sawnAt, ageDays }, { form, limits, system, madeAt = 0 }) {
    const at = Date.parse(String(sawnAt));
    if (!isMould(form)) return refused({ form: 'Form: choose one.' });
    if (at < madeAt) return refused({ sawnAt: 'Sawn before the concrete was placed.' });
    const ageHours = Number(ageDays) * 24;
    const { opensAt, closesAt } = ageWindow(madeAt, ageHours, limits, form);
    const water = limits.of('beam.water-sawn', system);
    const wet = at + (water.low?.toNumber() ?? 0) * HOUR;
    if (wet > closesAt)
      return refused({
        ageDays: `Sawn so late they do not lie in lime water ${water.text} before that age is over: choose a later age.`,
      });
    return {
      ok: true,
      value: {
        since: madeAt,
        at,
        about: { cure: 'field', specifiedStrength: null },
        ageHours,
        opensAt: Math.max(opensAt, wet),
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

export const registers = [small, cores, sawn];
