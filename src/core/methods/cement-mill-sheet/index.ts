import { ourChoice } from '../../working';
import { CEMENT_FACTS } from '../cement/said';
import type { Method } from '../contract';
import { exampleInput } from '../example';
import type { FactSources } from '../facts';
import { fieldsOf } from '../fields';
import { limitRows } from '../limit-rows';
import { APART, compute } from './compute';
import { CementMillSheetInput } from './input';
import { SHEET_PROPERTY_IDS, sheetProperty } from './properties';

const OWN: FactSources = Object.fromEntries(
  SHEET_PROPERTY_IDS.flatMap((id) => {
    const { own } = sheetProperty(id);
    return own ? [[id, own]] : [];
  }),
);

/** The sheet of the plant beside the own tests of a sample. Our own way of comparing. */
export const cementMillSheet: Method<CementMillSheetInput> = {
  id: 'cement-mill-sheet',
  title: 'Mill sheet beside own tests',
  designations: [ourChoice('a comparison, no test')],
  runOn: 'sample',
  again: 'freely',
  begin: 'Read the mill sheet',
  facts: { ...CEMENT_FACTS, ...OWN },
  yields: [{ quantity: APART, symbol: 'n', named: true }],
  Input: CementMillSheetInput,
  steps: [
    {
      id: 'sheet',
      title: 'What the sheet says',
      phase: 'test',
      instruction:
        'Type what stands there, with its unit, or paste it. Own tests stand beside it as they come in: leave it open until they are there.',
      fields: ['sheet', 'basis', 'period', 'values', 'readAt', 'remarks'],
    },
  ],
  performedAt: 'readAt',
  plan: (system, setup) =>
    limitRows(
      [
        'mill.strength-7d',
        'mill.surface',
        'mill.initial',
        'mill.consistency',
        'mill.density',
        'mill.heat-7d',
      ],
      system,
      setup,
    ),
  compute,
  notClaimed: ['A comparison with a mill sheet accepts and rejects no cement: tests of its lot do.'],
  example: (system) => ({
    input: { ...exampleInput(fieldsOf(CementMillSheetInput), system), system },
    setup: {
      zone: 'America/New_York',
      sample: { label: 'EXAMPLE', sampledAt: '2031-09-11T14:00:00-04:00' },
      facts: {
        cementType: 'c150.I',
        surface: '379 m2/kg',
        initial: '126 min',
        'strength-7d': ['4780 psi', '4840 psi', '4790 psi'],
      },
    },
  }),
};
