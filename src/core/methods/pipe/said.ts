import type { PipeSaid } from '../../pipe/product';
import { PIPE_CLASS_IDS } from '../../pipe/product';
import { type Dimension, type UnitId, unitOf } from '../../quantity';
import { asked, type FactSources, factMeasure, factText } from '../facts';
import type { RunSetup } from '../setup';

const measured = (names: readonly string[], dimension: Dimension): FactSources =>
  Object.fromEntries(names.map((name) => [name, asked(name, { dimension })]));

/** What a test of a pipe is told of its product. */
export const PRODUCT_FACTS: FactSources = {
  design: asked('design', { options: PIPE_CLASS_IDS }),
  joint: asked('joint', 'text'),
  wallLetter: asked('wallLetter', 'text'),
  testLengthFrom: asked('testLengthFrom', 'text'),
  ...measured(['span', 'rise', 'wall', 'overall', 'jointDepth', 'testLength'], 'length'),
  ...measured(['crackLoad', 'mostLoad'], 'dLoad'),
  classNumber: asked('classNumber', 'text'),
  ...measured(['footLoad', 'footCrackLoad'], 'lineLoad'),
};

/** The product of a pipe by what its test was told. */
export function saidIn(setup: RunSetup): PipeSaid {
  return {
    said: (name) => factText(setup, name),
    asked: (name, unit: UnitId) => factMeasure(setup, name, unitOf(unit).dimension, unit),
  };
}
