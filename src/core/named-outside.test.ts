import { execSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { MATERIALS } from './materials/registry';
import { METHODS } from './methods/registry';

// The shape: a method or a material is one folder in core, one in ui, one entry in each registry, and nothing else.
it('no file outside their folders names a method, a material or a form of specimens', () => {
  const forms = MATERIALS.flatMap((material) => material.forms);
  const ids = [...METHODS, ...MATERIALS, ...forms].map(({ id }) => id);
  const named = new RegExp(`(['"\`])(?:${ids.join('|')})\\1`, 'u');
  const files = execSync(
    'git ls-files --cached --others --exclude-standard src/server src/app src/ui src/core/report',
    {
      encoding: 'utf8',
    },
  )
    .split('\n')
    .filter((file) => /\.tsx?$/u.test(file) && !/\.test\./u.test(file))
    // Practice is scripts: content, not shape.
    .filter((file) => !/^src\/ui\/(?:methods|materials|practice)\//u.test(file));
  expect(files.length).toBeGreaterThan(200);
  const found = files.filter((file) => {
    try {
      return named.test(readFileSync(file, 'utf8'));
    } catch {
      return false;
    }
  });
  expect(found).toEqual([]);
});
