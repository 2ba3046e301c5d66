import { readdirSync, readFileSync } from 'node:fs';
import { expect, it } from 'vitest';

const FOLDER = 'src/db/migrations';
const { entries } = JSON.parse(readFileSync(`${FOLDER}/meta/_journal.json`, 'utf8')) as {
  entries: { idx: number; when: number; tag: string }[];
};

// A migration that is dated before the one in front of it is passed over, without a word, where that one was carried out.
it('migrations are dated in their order, so that none is passed over by an update', () => {
  expect(entries.map(({ idx }) => idx)).toEqual(entries.map((_, at) => at));
  for (const [at, { when, tag }] of entries.entries())
    expect(when, tag).toBeGreaterThan(entries[at - 1]?.when ?? 0);
});

it('each migration of the journal has its file, and each file stands in it', () => {
  const files = readdirSync(FOLDER).filter((name) => name.endsWith('.sql'));
  expect(files.toSorted()).toEqual(entries.map(({ tag }) => `${tag}.sql`).toSorted());
});
