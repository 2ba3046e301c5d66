import { describe, expect, it } from 'vitest';
import { Limits } from '@/core/limits';
import { exact } from '@/core/quantity';
import { computed, idsOf, lineOf, textOf } from '@/testing/outcome';
import { rowsOf } from '@/testing/rows';
import { densityYield, yieldForClaim } from '.';
import { waterDensity } from './measure-volume';

// ASTM C138/C138M (from memory); figures worked by hand.
const table = (text: string) => rowsOf('name mass density moisture absorption', text);
const BATCH = table(
  'cement, 4230, 3.15\nfly ash, 846, 2.40\nfine, 11500, 2.63\ncoarse, 16300, 2.70\nwater, 2142, 1',
);
const US = {
  measureVolume: '0.249274',
  emptyMass: '8.10',
  fullMass: '44.35',
  ticketVolume: '9',
  cementitious: '5076',
  materials: BATCH,
};

describe('density, yield and gravimetric air', () => {
  it('in inch-pound units, each from the unrounded density', () => {
    const outcome = computed(densityYield, US);
    // The volume comes from 15.53 lb of water at 70 °F; typed to six places it is 0.249274 ft³.
    expect(textOf(outcome, 'density')).toBe('145.4');
    expect(textOf(outcome, 'yield')).toBe('8.9');
    expect(textOf(outcome, 'relative yield')).toBe('0.99');
    expect(textOf(outcome, 'cementitious content')).toBe('569');
    expect(textOf(outcome, 'gravimetric air')).toBe('5.2');
    expect(lineOf(outcome, 'V')).toBeCloseTo(228.3176, 3);
    expect(lineOf(outcome, 'T')).toBeCloseTo(153.3741, 3);
  });

  it('in SI', () => {
    const outcome = computed(densityYield, {
      system: 'SI',
      measureVolume: '7.062',
      emptyMass: '3.55',
      fullMass: '20.00',
      ticketVolume: '8.5',
      cementitious: '3600',
      materials: table(
        'cement, 2880, 3.15\nslag, 720, 2.90\nfine, 6450, 2.65\ncoarse, 8470, 2.68\nwater, 1365, 1\nadmixture, 12, 1.10',
      ),
    });
    expect(textOf(outcome, 'density')).toBe('2,329');
    expect(textOf(outcome, 'relative yield')).toBe('1.00');
    expect(textOf(outcome, 'cementitious content')).toBe('421.5');
    expect(textOf(outcome, 'gravimetric air')).toBe('4.8');
  });

  it('says when the masses are impossible', () => {
    expect(idsOf(computed(densityYield, { ...US, fullMass: '52.5' }))).toContain('density.negative-air');
    expect(idsOf(computed(densityYield, { ...US, fullMass: '8.0' }))).toContain('density.masses');
  });

  it('finds the volume of a measure from water, and refuses one that is too small', () => {
    const outcome = computed(densityYield, {
      waterMass: '15.53',
      waterTemperature: '70',
      nominalVolume: '0.25',
      emptyMass: '8.1',
      fullMass: '44.35',
    });
    expect(lineOf(outcome, 'Vm')).toBeCloseTo(0.249274, 6);
    expect(idsOf(outcome)).not.toContain('density.measure-share');
    expect(idsOf(computed(densityYield, { measureVolume: '0.2368', nominalVolume: '0.25' }))).toContain(
      'density.measure-share',
    );
    // Half-way between two rows of the table of ASTM C29 (from memory).
    expect(waterDensity(exact('67.5'), 'US', new Limits()).toNumber()).toBeCloseTo(62.3185, 6);
  });

  it('a claim on yield rests on three loads', () => {
    const limits = new Limits();
    const three = ['145.4', '144.9', '146.1'].map(exact);
    expect(yieldForClaim(exact(35018), three, 'US', limits)?.toNumber()).toBeCloseTo(8.9159, 4);
    expect(yieldForClaim(exact(35018), three.slice(1), 'US', limits)).toBeNull();
  });

  it('compares with the meter', () => {
    const against = (fullMass: string, measuredAir: string) =>
      idsOf(computed(densityYield, { ...US, fullMass }, { facts: { measuredAir } }));
    expect(against('44.35', '5.0 %').filter((id) => id.startsWith('air.'))).toEqual([]);
    expect(against('44.045', '5.2 %')).toContain('air.meters-agree');
    expect(against('44.768', '5.9 %')).toContain('air.meters-repeat');
  });

  it('counts free moisture as water', () => {
    const dry = computed(densityYield, { ...US, materials: table('sand, 1250, 2.63, 5.2, 1.1') });
    // 1250 lb wet at 5.2 %: 1188.213 dry, 48.717 lb of it free water.
    expect(dry.lines.find(({ symbol }) => symbol === 'V')?.substituted).toContain('48.7167');
    const half = computed(densityYield, {
      ...US,
      materials: table('cement, 4230, 3.15\nsand, 1250, 2.63, 5.2'),
    });
    expect(idsOf(half)).toContain('density.materials');
  });
});
