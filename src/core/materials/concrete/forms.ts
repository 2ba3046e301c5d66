import type { Form } from '../../material/contract';
import { type MouldKind, mouldOf, mouldText, SPECIMEN_SIZES } from '../../moulds';

/** What is no part of a sample's own set goes by a letter of its own. */
const LETTERS: Readonly<Partial<Record<MouldKind, string>>> = {
  core: 'K',
  'mortar cube': 'M',
  'grout prism': 'G',
};

/** Every mould and core as a form of specimens. */
export const FORMS: readonly Form[] = SPECIMEN_SIZES.map((id) => {
  const letter = LETTERS[mouldOf(id).kind];
  return { id, text: mouldText(id), ...(letter ? { letter } : {}) };
});
