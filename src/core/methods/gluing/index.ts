import { standard } from '../../working';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import { exampleBatch } from '../example-batch';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { glueVolume } from '../pull/glue';
import { CURE, compute, tells, waits } from './compute';
import { GluingInput } from './input';

/** Dollies glued together from one mix of glue, with the clock of its cure. */
export const gluing: Method<GluingInput> = {
  id: 'gluing',
  title: 'Gluing dollies',
  designations: [standard('ASTM D4541'), standard('ASTM D7234')],
  runOn: 'batch',
  onSite: true,
  forms: ['dolly'],
  batch: {
    letters: 'GB',
    begin: 'Glue them together',
    done: 'glued',
    tells: (input, { label }, setup) => tells(input, label, setup),
  },
  yields: [{ quantity: CURE, symbol: 't' }],
  Input: GluingInput,
  steps: [
    {
      id: 'glue',
      title: 'The glue',
      phase: 'before',
      instruction:
        'One that holds more than the coating, tried on a scrap first. What its sheet says of cure, temperature and life.',
      fields: ['kind', 'product', 'tried', 'cure', 'cureAt', 'least', 'life'],
      caution:
        'Epoxy makes skin ill for good, cyanoacrylate glues it and burns on cotton; solvents burn. Gloves, glasses, air; the safety data sheet comes first.',
    },
    {
      id: 'faces',
      title: 'Dollies and surface',
      phase: 'before',
      instruction:
        'Roughen the faces, wipe them, touch them no more. Wipe the surface, roughen it as little as needed, dry. Read surface and air.',
      fields: ['prepared', 'surfaceTemperature', 'airTemperature', 'airHumidity'],
      caution:
        'Old paint may hold lead or chromate: nobody sands it before that is known. Overhead: tape and a lanyard, nobody below.',
    },
    {
      id: 'set',
      title: 'Mix and set',
      phase: 'test',
      instruction:
        'Equal parts as its sheet says, no bubbles. Thin over the whole face, straight down, no turn, wipe the rim. Tape on walls and ceilings.',
      fields: ['mixedAt', 'dollies', 'setAt'],
    },
    {
      id: 'cure',
      title: 'While it cures',
      phase: 'after',
      instruction: 'The coldest of the surface, by a logger. A control pull on steel from the same mix.',
      fields: ['record', 'coldest', 'control', 'remarks'],
    },
  ],
  performedAt: 'setAt',
  sequence: [['mixedAt', 'setAt']],
  waits,
  plan(system, setup) {
    const rows = limitRows(['glue.doubling', 'pull.dew', 'glue.control'], system, setup);
    const amount = (layer: number): string => `${glueVolume(1, 50, layer).toFixed(1)} mL`;
    return [
      ...rows,
      {
        label: 'Glue for a dolly of 50 mm',
        text: `${amount(0.2)} on a smooth face, ${amount(1)} on rough concrete`,
      },
    ];
  },
  compute,
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(GluingInput), system), system },
    setup: exampleBatch('GB-1', ['EXAMPLE-D1'], 'dolly', []),
  }),
};
