import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { criteriaOf } from '../acceptance';
import { PROFILES } from '../limits';
import { Asked } from '../materials/concrete/asked';
import { Placement } from '../materials/concrete/placement';
import type { SpecimenAbout } from '../materials/concrete/record';
import { findMaterial, MATERIALS } from '../materials/registry';
import { fieldsOf } from '../methods/fields';
import { METHODS } from '../methods/registry';
import { storedOf } from './stored';

const SYSTEMS = ['US', 'SI'] as const;

describe('what is asked of a material, as it is stored', () => {
  it('keeps measures with the unit they were given in, and says null of what was not given', () => {
    const stored = storedOf(
      Asked,
      {
        specifiedStrength: '4,250',
        ageDays: 28,
        slump: '4 1/4 in',
        waterRatio: '.44',
        airReduced: 'true',
        exposure: '',
      },
      'US',
    );
    expect(stored).toMatchObject({
      ok: true,
      value: {
        specifiedStrength: '4250 psi',
        ageDays: '28',
        slump: '4.25 in',
        waterRatio: '0.44',
        airReduced: true,
        bleedsLittle: false,
        exposure: null,
        air: null,
      },
    });
  });
  it.each([
    [{ specifiedStrength: 'many psi' }, 'specifiedStrength', /number/u],
    [{ specifiedStrength: '30 psi' }, 'specifiedStrength', /cannot be/u],
    [{ specifiedStrength: '4 in' }, 'specifiedStrength', /./u],
    [{ flexuralStrength: '50 psi' }, 'flexuralStrength', /cannot be/u],
    [{ ageDays: '27.5' }, 'ageDays', /whole/u],
    [{ ageDays: '0' }, 'ageDays', /cannot be/u],
    [{ waterRatio: '42' }, 'waterRatio', /cannot be/u],
    [{ slump: '-4' }, 'slump', /cannot be|number/u],
    [{ air: '90' }, 'air', /cannot be/u],
    [{ slumpClass: 'S9' }, 'slumpClass', /choose/u],
    [{ colour: 'grey' }, 'colour', /no such field/u],
  ])('refuses %j at its field', (over, field, words) => {
    const stored = storedOf(Asked, { specifiedStrength: '4,250', ageDays: '28', ...over }, 'US');
    expect(stored.ok).toBe(false);
    if (!stored.ok) {
      expect(Object.keys(stored.errors)).toEqual([field]);
      expect(stored.errors[field]).toMatch(words);
    }
  });
  it('means the units of the job where none is typed', () => {
    expect(storedOf(Placement, { volume: '46', section: '8 in' }, 'SI')).toMatchObject({
      value: { volume: '46 m3', section: '8 in', location: null },
    });
    expect(storedOf(Placement, { volume: '60' }, 'US')).toMatchObject({ value: { volume: '60 yd3' } });
  });
  it('answers anything in words', () => {
    fc.assert(
      fc.property(
        fc.dictionary(fc.constantFrom('slump', 'air', 'exposure', 'stranger'), fc.anything()),
        (typed) => {
          const stored = storedOf(Asked, typed, 'US');
          if (!stored.ok)
            for (const words of Object.values(stored.errors)) expect(words.length).toBeGreaterThan(5);
        },
      ),
    );
  });
});

describe.each(MATERIALS.map((material) => [material.id, material] as const))('%s', (id, material) => {
  it('is found by its id, and stores the examples of its own fields', () => {
    expect(findMaterial(id)).toBe(material);
    for (const type of [material.Asked, material.Lot])
      for (const system of SYSTEMS) {
        const typed = fieldsOf(type).flatMap((field) => {
          if (field.kind === 'rows') return [];
          const example = typeof field.example === 'string' ? field.example : field.example[system];
          return example === '' ? [] : [[field.name, example] as const];
        });
        const stored = storedOf(type, Object.fromEntries(typed), system);
        expect(stored.ok ? {} : stored.errors).toEqual({});
      }
  });
  it('is held against criteria that there are', () => {
    const all = [
      ...material.criteria,
      ...(material.series ?? []).flatMap(({ criteria }) => PROFILES.flatMap((profile) => criteria(profile))),
    ];
    expect(criteriaOf([...new Set(all)])).toHaveLength(new Set(all).size);
  });
});

it('of a concrete a strength is asked for, of cylinders or of beams', () => {
  const problems = findMaterial('concrete')?.problems ?? (() => ({}));
  expect(problems({ ageDays: '28' })).toHaveProperty('specifiedStrength');
  expect(problems({ ageDays: '28', flexuralStrength: '600 psi' })).toEqual({});
  expect(problems({ ageDays: '28', specifiedStrength: '4,000', flexuralDays: '14' })).toHaveProperty(
    'flexuralStrength',
  );
});

it('there is no material of another name', () => {
  expect(findMaterial('constructor')).toBeUndefined();
  expect(new Set(MATERIALS.map(({ id }) => id)).size).toBe(MATERIALS.length);
});

// A fact that is asked for under a name that no material has would never be known, and nobody would be told.
it('what methods and sets ask to know is a field of some material', () => {
  const names = (of: (material: (typeof MATERIALS)[number]) => (new () => object) | undefined) =>
    new Set(MATERIALS.flatMap((material) => fieldsOf(of(material) ?? Object).map(({ name }) => name)));
  const known = {
    // The age is asked for in days and stored in hours.
    asked: names(({ Asked: own }) => own).add('ageHours'),
    lot: names(({ Lot }) => Lot),
    sample: names(({ Sample }) => Sample),
    // What is said of a specimen when it is registered.
    specimen: new Set<string>(['cure', 'specifiedStrength', 'purpose'] satisfies (keyof SpecimenAbout)[]),
  };
  for (const { id, facts, set } of METHODS)
    for (const [name, { of, take, by, is }] of Object.entries({ ...facts, ...set?.facts })) {
      if (!by && of in known) expect(known[of as keyof typeof known].has(take), `${id} ${name}`).toBe(true);
      // What is typed is stored as text: a whole number is only what a material derives.
      if (!by && is === 'whole') expect(take, `${id} ${name}`).toBe('ageHours');
    }
});
