'use client';
import { useEffect, useRef } from 'react';
import { isTyping } from '../keys';

/**
 * A key that does one thing while it may: not while something is typed, and neither Enter nor blank where they press a button.
 * @param key a letter in lower case, or a named key
 */
export function useKey(key: string, on: boolean, act: () => void): void {
  const latest = useRef(act);
  latest.current = act;
  useEffect(() => {
    if (!on) return;
    const onKey = (event: KeyboardEvent): void => {
      const pressed = event.key.length === 1 ? event.key.toLowerCase() : event.key;
      if (pressed !== key || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if ((key === 'Enter' || key === ' ') && (event.target as HTMLElement).closest('button, a, input'))
        return;
      event.preventDefault();
      latest.current();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [key, on]);
}
