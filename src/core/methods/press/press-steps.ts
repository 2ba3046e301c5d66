import type { Step } from '../contract';
import { OUT_OF_MOIST_CLOCK } from './specimen';

interface OwnSteps {
  /** How it is fetched; absent: wet, out of moist storage. */
  readonly fetch?: Step;
  /** What is measured and prepared before the press. */
  readonly measure: readonly Step[];
  /** What is looked at once it stands in the press and the zero is set, before it is loaded. */
  readonly contact?: Step;
  readonly load: {
    /** Where it is not to failure. */
    readonly title?: string;
    readonly instruction: string;
    readonly fields: readonly string[];
    readonly caution?: string;
  };
  readonly after: readonly Step[];
}

/** The steps of a specimen in a press around what is the method's own. Order of work: our own words. */
export function pressSteps(own: OwnSteps): readonly Step[] {
  return [
    {
      id: 'identify',
      title: 'Identify',
      phase: 'before',
      instruction: 'Read the label aloud or scan it. Check that its window is open.',
      fields: ['machine', 'calliper'],
      clock: { title: 'Age window', from: 'age' },
    },
    own.fetch ?? {
      id: 'fetch',
      title: 'Fetch and keep as cured',
      phase: 'before',
      instruction: 'Take it from storage, wrap it wet; wipe free water and grit off. Look it over now.',
      fields: ['outOfMoistAt', 'surface', 'defects'],
      caution: 'Lift with both hands and the knees; steel toes. Lime water is alkaline: gloves.',
      clock: OUT_OF_MOIST_CLOCK,
    },
    ...own.measure,
    {
      id: 'spacers',
      title: 'Spacers',
      phase: 'before',
      instruction:
        'Fit the stack the picture shows, pins in. It must be flush everywhere before a specimen goes in.',
      fields: ['spacers', 'flush', 'gap'],
      caution: 'Pump off while hands are inside. Lift steel spacers with both hands; mind toes and fingers.',
    },
    {
      id: 'zero',
      title: 'Place, zero, guard',
      phase: 'before',
      instruction:
        'Wipe the faces, centre the specimen, set zero with the ram floating, tilt the seat parallel.',
      fields: ['zeroed', 'guarded', 'offset'],
      caution:
        'Keep hands out of the opening whenever the pump can move the platen. Guard shut and eye protection on before load. Follow the machine’s instructions and local rules first.',
    },
    ...(own.contact ? [own.contact] : []),
    {
      id: 'load',
      title: own.load.title ?? 'Load to failure',
      phase: 'test',
      instruction: own.load.instruction,
      fields: [...own.load.fields, 'maximumLoad', 'testedAt', 'zeroAfter', 'operator'],
      caution:
        own.load.caution ??
        'A standing broken specimen still holds energy: release the load before reaching in.',
    },
    ...own.after,
  ];
}
