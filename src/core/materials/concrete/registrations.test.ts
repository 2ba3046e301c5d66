import { describe, expect, it } from 'vitest';
import { Limits } from '../../limits';
import { fieldsOf } from '../../methods/fields';
import { findForm } from '../forms';
import { MATERIALS } from '../registry';
import { concrete } from '.';

const about = {
  form: 'core-4',
  system: 'US',
  limits: new Limits(),
  sampledAt: Date.parse('2031-05-01T10:00:00Z'),
  sample: {},
  madeAt: Date.parse('2031-05-01T10:30:00Z'),
} as const;
const way = (id: string) => concrete.registers?.find((each) => each.id === id);
const at = (text: string) => Date.parse(text);

// ASTM C42/C42M (from memory): tested from five to seven days after drilling.
it('cores are as old as the concrete, and their window counts from the drilling', () => {
  expect(way('cores')?.register({ drilledAt: '2031-06-10T09:00:00Z' }, about)).toEqual({
    ok: true,
    value: {
      since: about.madeAt,
      at: at('2031-06-10T09:00:00Z'),
      about: { cure: 'field', specifiedStrength: null },
      // 17 June 09:00 less 1 May 10:30: 46 days, 22.5 h.
      ageHours: 1127,
      opensAt: at('2031-06-15T09:00:00Z'),
      closesAt: at('2031-06-17T09:00:00Z'),
    },
  });
  expect(way('cores')?.register({ drilledAt: '2031-05-01T10:00:00Z' }, about)).toMatchObject({
    ok: false,
    errors: { drilledAt: expect.stringContaining('before the concrete') },
  });
});

// ASTM C42/C42M (from memory): 40 h in lime water before the test; ASTM C39 table (from memory): 28 d ± 20 h.
describe('beams sawn out of a slab', () => {
  const sawn = (sawnAt: string, ageDays: string) =>
    way('sawn')?.register({ sawnAt, ageDays }, { ...about, form: 'sawn-6' });
  it('are as old as the slab, and wait in lime water from the saw', () => {
    expect(sawn('2031-05-20T09:00:00Z', '28')).toMatchObject({
      ok: true,
      value: {
        since: about.madeAt,
        at: at('2031-05-20T09:00:00Z'),
        ageHours: 672,
        opensAt: at('2031-05-28T14:30:00Z'),
        closesAt: at('2031-05-30T06:30:00Z'),
      },
    });
    // Sawn two days before: what opens the window is the water.
    expect(sawn('2031-05-27T20:00:00Z', '28')).toMatchObject({
      ok: true,
      value: { opensAt: at('2031-05-29T12:00:00Z'), closesAt: at('2031-05-30T06:30:00Z') },
    });
  });
  it('are refused where they cannot be wet long enough, or are older than their slab', () => {
    expect(sawn('2031-05-29T09:00:00Z', '28')).toMatchObject({
      ok: false,
      errors: { ageDays: expect.stringContaining('choose a later age') },
    });
    expect(sawn('2031-05-01T09:00:00Z', '28')).toMatchObject({
      ok: false,
      errors: { sawnAt: expect.stringContaining('before the concrete') },
    });
  });
});

// ASTM C109/C109M (from memory): seven days, three hours either side.
it('mortar cubes count from their own making, with the strength that is asked of them', () => {
  const told = { madeAt: '2031-06-01T08:00:00Z', ageDays: '7', specifiedStrength: '1850 psi' };
  expect(way('small')?.register(told, { ...about, form: 'mortar-2' })).toMatchObject({
    ok: true,
    value: {
      since: at('2031-06-01T08:00:00Z'),
      ageHours: 168,
      about: { cure: 'standard', specifiedStrength: '1850 psi' },
      opensAt: at('2031-06-08T05:00:00Z'),
      closesAt: at('2031-06-08T11:00:00Z'),
    },
  });
});

it.each(
  MATERIALS.flatMap(({ id, registers = [], forms }) =>
    registers.map((each) => [`${id} ${each.id}`, each, forms] as const),
  ),
)('%s: has forms of its own material in both systems, and words', (_, each, forms) => {
  for (const system of ['US', 'SI'] as const)
    for (const form of [{}, { cementType: 'is269.43' }].flatMap((asked) =>
      each.forms({ pieces: 'rock-core' }, system, asked),
    )) {
      expect(forms.map(({ id }) => id)).toContain(form);
      // What has a name of its own has a letter for it.
      expect(findForm(form)?.letter).toMatch(/^[A-Z]$/u);
    }
  expect(each.usual).toBeLessThanOrEqual(each.most);
  const fields = each.Input ? fieldsOf(each.Input).map(({ name }) => name) : [];
  for (const name of Object.keys(each.initial ?? {})) expect(fields).toContain(name);
});
