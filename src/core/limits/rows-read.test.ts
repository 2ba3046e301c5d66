import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { LIMIT_IDS } from '.';

/** The text of every file of the application that may read a row: not the register itself, not the tests. */
function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return path.endsWith('core/limits') ? [] : sources(path);
    return /\.tsx?$/u.test(path) && !path.includes('.test.') ? [readFileSync(path, 'utf8')] : [];
  });
}

// A row that nothing reads can be changed by a laboratory, and nothing happens: worse than none.
it('every row of the register is read by something', () => {
  const text = sources(join(process.cwd(), 'src')).join('\n');
  const quoted = new Set([...text.matchAll(/'([\w./-]+)'/gu)].map(([, id]) => id));
  // A name that is put together: what stands in its braces may be anything.
  const patterns = [...text.matchAll(/`([^`\n]*\$\{[^`\n]*)`/gu)].flatMap(([, template = '']) => {
    const fixed = template.split(/\$\{[^}]*\}/u);
    const name = /^[\w/-]+\./u.test(fixed[0] ?? '') && fixed.every((part) => /^[\w./-]*$/u.test(part));
    return name ? [new RegExp(`^${fixed.map((part) => part.replaceAll('.', '\\.')).join('.+')}$`, 'u')] : [];
  });
  const unread = LIMIT_IDS.filter((id) => {
    // The school's own row is read by the name it stands in for.
    const names = [id, id.replace(/^(?:en|is|agency)\//u, '')];
    return !names.some((name) => quoted.has(name) || patterns.some((pattern) => pattern.test(name)));
  });
  expect(unread).toEqual([]);
});
