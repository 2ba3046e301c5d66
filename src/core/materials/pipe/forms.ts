import type { Form } from '../../material/contract';

/** What of a pipe is tested: the pipe itself, and pieces of its wall. */
export const FORMS: readonly Form[] = [
  { id: 'pipe', text: 'Pipe', letter: 'P' },
  { id: 'pipe-wall', text: 'Piece of the wall', letter: 'W' },
  { id: 'pipe-core', text: 'Core of the wall', letter: 'C', ends: ['bonded', 'pads'] },
];
