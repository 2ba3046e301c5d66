import type { Step } from '../contract';

/** The steps of a beam that is bent by its displacement, around what is its method's own. */
export function bendSteps(own: {
  readonly fixture: readonly string[];
  readonly how: string;
  /** What is read while it is loaded, besides what all of them read. */
  readonly load?: readonly string[];
  readonly after?: readonly Step[];
}) {
  const fetch: Step = {
    id: 'fetch',
    title: 'Out of the water, four faces',
    phase: 'before',
    instruction:
      'Photograph its four faces. A sensor’s record is read out and looked at before its cable is cut flush; never pull it.',
    fields: ['outOfMoistAt'],
    caution:
      'Two people or a hoist for a whole beam. Cables are cut with the power off; wire and bar ends are sharp.',
  };
  return {
    fetch,
    measure: [
      {
        id: 'sizes',
        title: 'Width, depth, span',
        phase: 'before',
        instruction:
          'Around where it will break, each three times. The span from line to line of the supports.',
        fields: ['width1', 'width2', 'width3', 'depth1', 'depth2', 'depth3', 'span', ...own.fixture],
      },
    ] satisfies Step[],
    load: {
      title: 'Bend it',
      instruction: own.how,
      fields: ['speed', 'stops', ...(own.load ?? []), 'crackSeen', 'ended'],
      caution:
        'It snaps and kicks, or cracks under load for long: guard shut, glasses, stay outside. A piston driven past its stroke sprays oil.',
    },
    after: [
      {
        id: 'place',
        title: 'Where it broke',
        phase: 'after',
        instruction:
          'Measure from the crack to the line of the nearer support, on the face in tension. Keep the machine’s file untouched.',
        fields: ['place'],
        caution: 'Take the halves out one by one; fibres and bars hold them together and let go at once.',
      },
      ...(own.after ?? []),
      {
        id: 'remarks',
        title: 'Anything else',
        phase: 'after',
        instruction:
          'Look at the fresh face: bars slipped or torn, fibres pulled or broken, a sensor in the crack.',
        fields: ['remarks'],
        caution: 'Sweep damp: broken concrete carries silica dust.',
      },
    ] satisfies Step[],
  };
}
