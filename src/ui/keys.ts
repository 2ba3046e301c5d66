/** True when a key press belongs to something being typed. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable]') !== null
  );
}
