/**
 * `not open yet`, `open`, `closing`: open and little time left, `missed`: closed and not done, `done`.
 */
export type WindowState = 'not open yet' | 'open' | 'closing' | 'missed' | 'done';

/**
 * How a window stands at a moment.
 * @param closing share of its length, 0 to 1, from which on it is closing
 * @param doneAt when it was done; absent or null when it is not
 */
export function stateOf(
  window: { readonly opensAt: number; readonly closesAt: number },
  now: number,
  closing: number,
  doneAt?: number | null,
): WindowState {
  if (doneAt !== undefined && doneAt !== null) return 'done';
  if (now < window.opensAt) return 'not open yet';
  if (now > window.closesAt) return 'missed';
  return window.closesAt - now <= closing * (window.closesAt - window.opensAt) ? 'closing' : 'open';
}
