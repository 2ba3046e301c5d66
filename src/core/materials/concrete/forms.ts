import type { Form } from '../../material/contract';
import { isMouldedConcrete, type MouldKind, mouldOf, mouldText, SPECIMEN_SIZES } from '../../moulds';

/** What is no part of a sample's own set goes by a letter of its own. */
const LETTERS: Readonly<Partial<Record<MouldKind, string>>> = {
  core: 'K',
  'sawn beam': 'S',
  'mortar cube': 'M',
  'vibrated cube': 'M',
  'grout prism': 'G',
};

/** Drilled or sawn out of what was placed. */
const TAKEN_OUT: readonly MouldKind[] = ['core', 'sawn beam'];

const ENDS: Readonly<Partial<Record<MouldKind, Form['ends']>>> = {
  cylinder: ['bonded', 'pads'],
  core: ['bonded'],
  'grout prism': ['bonded'],
};

/** Every mould and core as a form of specimens. */
export const FORMS: readonly Form[] = SPECIMEN_SIZES.map((id) => {
  const { kind } = mouldOf(id);
  const [letter, ends] = [LETTERS[kind], ENDS[kind]];
  return {
    id,
    text: mouldText(id),
    // Grout and mortar are no part of the concrete around them: they are as old as they are themselves.
    since: isMouldedConcrete(id) || TAKEN_OUT.includes(kind) ? 'sample' : 'own',
    // The window of what is taken out counts from the drilling, the sawing.
    window: TAKEN_OUT.includes(kind) ? 'own' : 'age',
    ...(letter ? { letter } : {}),
    ...(ends ? { ends } : {}),
  };
});
