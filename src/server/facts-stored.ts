import type { Fact, FactSource, FactSources, Facts } from '@/core/methods';

/** What is stored of whom a fact can be of, by the names of their fields. */
export type StoredWith = Readonly<Partial<Record<FactSource['of'], object | null | undefined>>>;

/** A field as it is stored; undefined where nothing is. */
function stored(row: Readonly<Record<string, unknown>>, { take, is }: FactSource): Fact | undefined {
  const value = row[take];
  if (is === 'flag') return value === true ? true : undefined;
  if (is === 'whole') return typeof value === 'number' ? String(value) : undefined;
  return typeof value === 'string' && value !== '' ? value : undefined;
}

/** The facts that stand in the records themselves: of the specification, the lot, the sample and the specimen. */
export function factsStored(sources: FactSources, of: StoredWith): Facts {
  return Object.fromEntries(
    Object.entries(sources).flatMap(([name, source]): [string, Fact][] => {
      const fact = source.by ? undefined : stored({ ...of[source.of] }, source);
      return fact === undefined ? [] : [[name, fact]];
    }),
  );
}
