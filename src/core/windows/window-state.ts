/**
 * `not open yet`, `open`, `closing`: open and little time left, `missed`: closed and not done, `done`.
 */
export type WindowState = 'not open yet' | 'open' | 'closing' | 'missed' | 'done';

/**
 * How a window stands at a moment.
 * @param window its ends, ms since the epoch; one without a closing is open until it is done
 * @param closing share of its length, 0 to 1, from which on it is closing
 * @param doneAt when it was done, or ends by itself; absent or null when it is not
 */
export function stateOf(
  window: { readonly opensAt: number; readonly closesAt: number | null },
  now: number,
  closing: number,
  doneAt?: number | null,
): WindowState {
  if (doneAt !== undefined && doneAt !== null && doneAt <= now) return 'done';
  if (now < window.opensAt) return 'not open yet';
  if (window.closesAt === null) return 'open';
  if (now > window.closesAt) return 'missed';
  return window.closesAt - now <= closing * (window.closesAt - window.opensAt) ? 'closing' : 'open';
}
