import { describe, expect, it } from 'vitest';
import { REGISTER } from '../limits/register';
import { SERIES, STRENGTH } from '../materials/concrete/series';
import { MATERIALS } from '../materials/registry';
import { findMethod } from '../methods/registry';
import { findCriterion } from './criteria';
import { seriesAsked, seriesOf } from './series-rule';

const ASKED = {
  specifiedStrength: '4450',
  ageHours: 672,
  flexuralStrength: '585',
  flexuralHours: 672,
};
const ids = (asked: Readonly<Record<string, unknown>>) => seriesAsked(SERIES, asked).map(({ id }) => id);

describe('what follows one another', () => {
  it('is what was asked for, and nothing else', () => {
    expect(ids({})).toEqual([]);
    expect(ids({ specifiedStrength: '4450' })).toEqual(['strength']);
    expect(ids({ flexuralStrength: '585' })).toEqual(['flexure']);
    expect(ids(ASKED)).toEqual(['strength', 'flexure']);
    expect(seriesAsked(undefined, ASKED)).toEqual([]);
  });
  it('is of beams loaded as it was asked for', () => {
    expect(ids({ ...ASKED, flexuralLoading: 'third' })).toEqual(['strength', 'flexure']);
    expect(ids({ ...ASKED, flexuralLoading: 'centre' })).toEqual(['strength', 'flexure-centre']);
  });
  it('has a test of its own method, cured so, at its age', () => {
    const rules = seriesAsked(SERIES, ASKED);
    const set = { method: 'beam-third-point', cure: 'standard', ageHours: 672 };
    expect(seriesOf(rules, ASKED, set)?.id).toBe('flexure');
    expect(seriesOf(rules, ASKED, { ...set, method: 'cylinder-compression' })).toBe(STRENGTH);
    expect(seriesOf(rules, ASKED, { ...set, method: 'beam-centre-point' })).toBeUndefined();
    expect(seriesOf(rules, ASKED, { ...set, cure: 'field' })).toBeUndefined();
    expect(seriesOf(rules, ASKED, { ...set, cure: null })).toBeUndefined();
    expect(seriesOf(rules, ASKED, { ...set, ageHours: 168 })).toBeUndefined();
    expect(seriesOf(rules, ASKED, { ...set, ageHours: null })).toBeUndefined();
  });
  it('counts each at an age of its own', () => {
    const asked = { ...ASKED, flexuralHours: 168 };
    const rules = seriesAsked(SERIES, asked);
    expect(
      seriesOf(rules, asked, { method: 'beam-third-point', cure: 'standard', ageHours: 672 }),
    ).toBeUndefined();
    expect(seriesOf(rules, asked, { method: 'beam-third-point', cure: 'standard', ageHours: 168 })?.id).toBe(
      'flexure',
    );
  });
  it('is decided anew by a limit of any school', () => {
    const flexure = SERIES.filter(({ id }) => id.startsWith('flexure'));
    const limits = Object.keys(REGISTER).filter((id) => /^(?:\w+\/)?flexure\./u.test(id));
    expect(limits.length).toBeGreaterThan(3);
    for (const { heldTo } of flexure)
      for (const limit of limits)
        expect(
          heldTo.some((each) => limit.startsWith(each)),
          limit,
        ).toBe(true);
  });
  it('has four in a row in the Indian school, three in the others', () => {
    const flexure = SERIES.find(({ id }) => id === 'flexure');
    expect(flexure?.criteria('astm')).toEqual(['flexure-average', 'flexure-each']);
    expect(flexure?.criteria('is')).toEqual(['flexure-average-four', 'flexure-each']);
    expect(findCriterion('flexure-average')?.title).not.toBe(findCriterion('flexure-average-four')?.title);
  });
});

describe('every series of every material', () => {
  const all = MATERIALS.flatMap(({ id, series = [] }) => series.map((rule) => ({ id, rule })));
  it('is there', () => {
    expect(all.length).toBeGreaterThanOrEqual(SERIES.length);
  });
  it.each(all)('$id: $rule.id names a method, criteria and steps that there are', ({ rule }) => {
    expect(findMethod(rule.method)?.set).toBeDefined();
    for (const profile of ['astm', 'en', 'is'] as const)
      for (const id of rule.criteria(profile)) expect(findCriterion(id)?.title).toBeTruthy();
    expect(rule.lowSteps.length).toBeGreaterThan(0);
    expect(new Set(rule.lowSteps.map(({ id }) => id)).size).toBe(rule.lowSteps.length);
    // A limit that it is reported or held to is one whose change decides its tests anew.
    const isHeldTo = (limit: string): boolean => rule.heldTo.some((each) => limit.startsWith(each));
    expect(isHeldTo(rule.step)).toBe(true);
    // An engineer accepts; nobody else does.
    expect(rule.lowMean).toMatch(/engineer/u);
  });
  it.each(MATERIALS.filter(({ series }) => series))(
    '$id has each under a name of its own',
    ({ series = [] }) => {
      expect(new Set(series.map(({ id }) => id)).size).toBe(series.length);
    },
  );
});
