import { describe, expect, it } from 'vitest';
import { MATERIALS } from '@/core/materials/registry';
import {
  CheckField,
  ChoiceField,
  fieldsOf,
  isRows,
  MeasureField,
  RowInput,
  RowsField,
  RunInput,
  TextField,
} from '@/core/methods';
import { formFields } from './fields-of';

class Row extends RowInput {
  @TextField({ label: 'Name', example: '' })
  name?: string;
}

class Piece extends RunInput {
  @MeasureField({
    label: 'Length',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.1', SI: '1' },
    possible: { US: ['1', '20'], SI: ['25', '500'] },
    required: true,
    example: { US: '7.5', SI: '190' },
  })
  length?: string;

  @MeasureField({
    label: 'Width',
    dimension: 'length',
    unit: { US: 'in', SI: 'mm' },
    step: { US: '0.1', SI: '1' },
    possible: { US: ['1', '20'], SI: ['25', '500'] },
    help: 'At the middle.',
    example: { US: '3 1/2 in', SI: '90 mm' },
  })
  width?: string;

  @ChoiceField({ label: 'State', options: [{ value: 'wet', label: 'Wet' }], example: 'wet' })
  state?: 'wet';

  @CheckField({ label: 'Layered', help: 'Bands that can be seen.' })
  layered?: boolean;

  @RowsField({ label: 'Parts', row: 'part', Row, example: { US: [], SI: [] } })
  parts?: readonly Row[];
}

describe('a form out of a class of fields', () => {
  const of = (name: string, system: 'US' | 'SI' = 'US') =>
    formFields(fieldsOf(Piece), system).find((field) => field.name === name);

  it('says what is optional, and leaves tables to the run sheet', () => {
    expect(of('length')).not.toHaveProperty('optional');
    expect(of('width')).toMatchObject({ optional: true });
    expect(of('parts')).toBeUndefined();
  });

  it('gives an example, and names the unit that is meant where the example names none', () => {
    expect(of('length')?.help).toBe('As 7.5: in, unless another unit is typed.');
    expect(of('length', 'SI')?.help).toBe('As 190: mm, unless another unit is typed.');
    expect(of('width')?.help).toBe('At the middle. As 3 1/2 in.');
    expect(of('width', 'SI')?.help).toBe('At the middle. As 90 mm.');
  });

  it('puts nothing that is required where it is only seen on demand', () => {
    const asked = MATERIALS.flatMap(({ Asked, Lot, Sample }) =>
      [Asked, Lot, ...(Sample ? [Sample] : [])].flatMap((input) => formFields(fieldsOf(input), 'US')),
    );
    expect(asked.filter(({ rare }) => rare).length).toBeGreaterThan(5);
    expect(asked.filter(({ rare, optional }) => rare && !optional)).toEqual([]);
  });

  it('lets a choice be left open, and asks a tick as yes or no', () => {
    expect(of('state')?.options).toEqual([
      { value: '', label: 'none' },
      { value: 'wet', label: 'Wet' },
    ]);
    expect(of('layered')).toMatchObject({
      optional: true,
      help: 'Bands that can be seen.',
      options: [
        { value: '', label: 'no' },
        { value: 'true', label: 'yes' },
      ],
    });
  });

  it.each(MATERIALS.flatMap(({ id, Asked, Lot }) => [Asked, Lot].map((type) => [id, type] as const)))(
    'asks everything of %s once, in words',
    (_id, type) => {
      for (const system of ['US', 'SI'] as const) {
        const form = formFields(fieldsOf(type), system);
        const plain = fieldsOf(type).filter((field) => !isRows(field));
        expect(form.map(({ name }) => name)).toEqual(plain.map(({ name }) => name));
        expect(new Set(form.map(({ label }) => label)).size).toBe(form.length);
        for (const { label, help = '' } of form)
          expect(`${label} ${help}`).not.toMatch(/undefined|\[object|NaN|\bAs ,/u);
      }
    },
  );
});
