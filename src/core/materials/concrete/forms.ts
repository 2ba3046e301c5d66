import type { Form } from '../../material/contract';
import { isMouldedConcrete, type MouldKind, mouldOf, mouldText, SPECIMEN_SIZES } from '../../moulds';

/** What is no part of a sample's own set goes by a letter of its own. */
const LETTERS: Readonly<Partial<Record<MouldKind, string>>> = {
  core: 'K',
  'mortar cube': 'M',
  'grout prism': 'G',
};

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
    since: isMouldedConcrete(id) || kind === 'core' ? 'sample' : 'own',
    // A core's window counts from its drilling.
    window: kind === 'core' ? 'own' : 'age',
    ...(letter ? { letter } : {}),
    ...(ends ? { ends } : {}),
  };
});
