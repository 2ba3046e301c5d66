import type { Stored } from '../material/contract';
import { ChoiceField, RunInput, TextField } from '../methods/fields';

/** A sample that was drawn out of a delivery. */
export class Drawn extends RunInput {
  @ChoiceField({
    label: 'Sample',
    options: [
      { value: 'first', label: 'First' },
      { value: 'second', label: 'Second, after the first failed and the producer took units out' },
    ],
    required: true,
    example: 'first',
  })
  draw?: 'first' | 'second';

  @TextField({
    label: 'Drawn how, by whom',
    help: 'At random over the lot; the purchaser chooses the second sample.',
    required: true,
    example: 'by number over 12 cubes',
  })
  how?: string;
}

/** A sample that cannot be beside those that its delivery has: a second without a first, a third. */
export function drawProblems({ draw }: Stored, before: readonly Stored[]): Record<string, string> {
  if (before.some((each) => each.draw === 'second'))
    return { draw: 'The second set of this delivery is drawn already: there is no third.' };
  return draw === 'second' && before.length === 0
    ? { draw: 'A second set follows a first one that failed: this delivery has none yet.' }
    : {};
}
