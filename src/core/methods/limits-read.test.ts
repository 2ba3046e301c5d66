import { expect, it } from 'vitest';
import { limitsRead } from './limits-read';
import { METHODS } from './registry';

it('names the rows of the register a method is held to, those of the schools too, and no others', () => {
  const slump = METHODS.find(({ id }) => id === 'slump');
  const read = slump ? limitsRead(slump) : [];
  expect(read).toContain('slump.lift');
  expect(read).toContain('en/slump.lift');
  expect(read.filter((id) => id.startsWith('caps.'))).toEqual([]);
});

it.each(METHODS.map((method) => [method.id, method] as const))('%s is held to something', (_, method) => {
  expect(limitsRead(method).length).toBeGreaterThan(0);
});
