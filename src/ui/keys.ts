/** Where letters are typed; a slider or a tick box takes none. */
const TYPED =
  'input:not([type=range]):not([type=checkbox]):not([type=radio]), textarea, select, [contenteditable]';

/** True when a key press belongs to something being typed. */
export function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.closest(TYPED) !== null;
}
