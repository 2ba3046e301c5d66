import type { Clock, Step } from '../contract';
import { limitsOf, type RunSetup } from '../setup';
import type { Arrangement } from './arrangement';
import { DEPTHS, WIDTHS } from './sizes';

/** From the water to the break: its skin must not dry. */
const OUT_OF_WATER: Clock = {
  title: 'Out of the water',
  from: 'outOfMoistAt',
  limit: 'beam.out-of-water',
  means: {
    severity: 'departure',
    needsReason: true,
    late: 'A dry skin is in tension already, and the beam reads low. Wet burlap over it from the tank to the machine.',
  },
  waits: { what: 'Break it before its skin dries', lane: 'press' },
};

/** EN and IS measure a beam before it is loaded, the others at the fracture. */
const measuredBefore = (setup: RunSetup): boolean => {
  const { profile } = limitsOf(setup);
  return profile === 'en' || profile === 'is';
};

const SIZES = [...WIDTHS, ...DEPTHS];

/** The steps of a beam on its supports, around those of every test in a press. */
export function beamSteps({ kind, contacts }: Arrangement) {
  const where = kind === 'third' ? 'at the third points' : 'in the middle';
  const fetch: Step = {
    id: 'fetch',
    title: 'One beam out of the water',
    phase: 'before',
    instruction:
      'Marks on its sides first, in the water. Take one beam, leave the others in; wet burlap over it until it stands in the fixture.',
    fields: ['made', 'waterFrom', 'waterTemperature', 'outOfMoistAt', 'surface', 'condition', 'mass'],
    caution:
      'A beam weighs 60 to 85 lb [27 to 40 kg]: two people or a hoist, no twisting, safety shoes. Lime water is caustic: gloves, eye wash near.',
    clock: OUT_OF_WATER,
  };
  const sizes = (
    id: string,
    phase: Step['phase'],
    instruction: string,
    when: NonNullable<Step['when']>,
  ): Step => ({
    id,
    title: 'Width and depth',
    phase,
    instruction,
    fields: SIZES,
    when,
  });
  return {
    fetch,
    measure: [
      sizes(
        'sizes-before',
        'before',
        'As it will lie in the machine, around the middle: three widths and three depths, wet burlap off for the moment only.',
        measuredBefore,
      ),
      {
        id: 'fixture',
        title: 'Into the fixture',
        phase: 'before',
        instruction: `On its side, in the middle of its supports, the load ${where}. Measure the span from line to line of the supports.`,
        fields: ['side', 'rollers', 'span', 'overhangLeft', 'overhangRight', 'fixture'],
        caution: 'Fingers away from rollers and blocks: they pinch when the ram moves.',
      },
    ] satisfies Step[],
    contact: {
      id: 'gaps',
      title: 'Gaps',
      phase: 'before',
      instruction:
        'Bring the blocks to contact and hold a few percent of the load expected. Try both leaves at every line: a leaf counts where it goes in over an inch [25 mm].',
      fields: ['preload', ...contacts],
      caution:
        'Hands in the fixture only while the load stands and nobody works a lever. Hot sulfur burns and gives fumes; grinding wet, or with a mask.',
    } satisfies Step,
    load: {
      title: 'Load to rupture',
      instruction:
        'Steadily and without shock, at the rate in the extreme fibre that stands below in this machine’s own units: a cylinder’s rate is many times too fast. Enter the load, never the stress the machine shows.',
      fields: ['loadingRate', 'going'],
      caution: 'It breaks without a word and the halves kick: guard shut, tray and chocks below, hands off.',
    },
    after: [
      {
        id: 'fracture',
        title: 'Where it broke',
        phase: 'after',
        instruction:
          'On the face that was in tension, from the crack to the line of the nearer support: at both edges and in the middle.',
        fields: ['a1', 'a2', 'a3', 'crack', 'stones'],
        caution: 'Let no half fall: take them out one by one. Broken edges are sharp.',
      },
      sizes(
        'sizes-after',
        'after',
        'On one broken face, as it lay in the machine: width at the top, in the middle and at the bottom, depth at both edges and in the middle. A cap counts as depth where it broke at a cap.',
        (setup) => !measuredBefore(setup),
      ),
      {
        id: 'keep',
        title: 'Keep the halves',
        phase: 'after',
        instruction:
          'Until the set is accepted. Look at the face while it is fresh: voids, stones, dry core.',
        fields: ['remarks'],
        caution: 'Sweep damp: broken concrete carries silica dust.',
      },
    ] satisfies Step[],
  };
}
