import type { Form } from '../../material/contract';

/** A dolly, wherever it is glued. */
export const DOLLIES: readonly Form[] = [{ id: 'dolly', text: 'Dolly', letter: 'D' }];
