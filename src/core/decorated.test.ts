import { execSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';

// In a browser each page has modules of its own: one that says `@Type` before the metadata are there ends the page.
it('every file that says of what class a field is brings the metadata along', () => {
  const files = execSync("git ls-files --cached --others --exclude-standard 'src/core/**/*.ts'", {
    encoding: 'utf8',
  })
    .split('\n')
    .filter((file) => file !== '' && !file.includes('.test.'));
  const typed = files.filter((file) =>
    /import \{[^}]*\bType\b[^}]*\} from 'class-transformer'/u.test(readFileSync(file, 'utf8')),
  );
  expect(typed.length).toBeGreaterThan(2);
  const without = typed.filter((file) => !readFileSync(file, 'utf8').includes("import 'reflect-metadata'"));
  expect(without).toEqual([]);
});
