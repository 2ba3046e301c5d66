import { type Exact, exact, type System } from '../quantity';

/** A core is drilled, a sawn beam sawn out of a slab; mortar cubes and grout prisms are no concrete: they stand here because they are sizes too. */
export type MouldKind =
  | 'cylinder'
  | 'beam'
  | 'cube'
  | 'core'
  | 'sawn beam'
  | 'mortar cube'
  | 'vibrated cube'
  | 'grout prism';

interface MouldFacts {
  readonly kind: MouldKind;
  readonly system: System;
  readonly label: string;
  /** Least dimension, that the aggregate is held against; in or mm. */
  readonly least: string;
  /** Diameter, or depth of a beam; in or mm. */
  readonly across: string;
  readonly length: string;
  /** Width of a beam or cube; absent for cylinders. */
  readonly width?: string;
  /** Nominal volume, ft³ or L. */
  readonly volume: string;
}

const cylinder = (
  system: System,
  label: string,
  across: string,
  length: string,
  volume: string,
): MouldFacts => ({
  kind: 'cylinder',
  system,
  label,
  least: across,
  across,
  length,
  volume,
});
const box = (
  kind: Exclude<MouldKind, 'cylinder' | 'core'>,
  system: System,
  label: string,
  width: string,
  depth: string,
  length: string,
  volume: string,
): MouldFacts => ({
  kind,
  system,
  label,
  least: width,
  across: depth,
  length,
  width,
  volume,
});

/** Every mould specimens are made in; the keys are the sizes of specimens in records and exports. */
export const MOULDS = {
  '4x8': cylinder('US', '4 × 8 in', '4', '8', '0.05817764'),
  '6x12': cylinder('US', '6 × 12 in', '6', '12', '0.19634954'),
  '9x18': cylinder('US', '9 × 18 in', '9', '18', '0.6626797'),
  '100x200': cylinder('SI', '100 × 200 mm', '100', '200', '1.5707963'),
  '150x300': cylinder('SI', '150 × 300 mm', '150', '300', '5.3014376'),
  '225x450': cylinder('SI', '225 × 450 mm', '225', '450', '17.892352'),
  'beam-6x6x20': box('beam', 'US', 'Beam 6 × 6 × 20 in', '6', '6', '20', '0.41666667'),
  'beam-6x6x21': box('beam', 'US', 'Beam 6 × 6 × 21 in', '6', '6', '21', '0.4375'),
  'beam-4x4x14': box('beam', 'US', 'Beam 4 × 4 × 14 in', '4', '4', '14', '0.12962963'),
  'beam-150x150x530': box('beam', 'SI', 'Beam 150 × 150 × 530 mm', '150', '150', '530', '11.925'),
  'beam-150x150x600': box('beam', 'SI', 'Beam 150 × 150 × 600 mm', '150', '150', '600', '13.5'),
  'beam-150x150x700': box('beam', 'SI', 'Beam 150 × 150 × 700 mm', '150', '150', '700', '15.75'),
  'beam-100x100x350': box('beam', 'SI', 'Beam 100 × 100 × 350 mm', '100', '100', '350', '3.5'),
  'beam-100x100x500': box('beam', 'SI', 'Beam 100 × 100 × 500 mm', '100', '100', '500', '5'),
  'cube-150': box('cube', 'SI', 'Cube 150 mm', '150', '150', '150', '3.375'),
  'cube-100': box('cube', 'SI', 'Cube 100 mm', '100', '100', '100', '1'),
  'core-4': { ...cylinder('US', 'Core, about 4 in', '4', '8', '0.05817764'), kind: 'core' },
  'core-100': { ...cylinder('SI', 'Core, about 100 mm', '100', '200', '1.5707963'), kind: 'core' },
  'sawn-6': box('sawn beam', 'US', 'Sawn beam, about 6 × 6 in', '6', '6', '21', '0.4375'),
  'sawn-150': box('sawn beam', 'SI', 'Sawn beam, about 150 × 150 mm', '150', '150', '530', '11.925'),
  'mortar-2': box('mortar cube', 'US', 'Mortar cube 2 in', '2', '2', '2', '0.00462963'),
  'mortar-50': box('mortar cube', 'SI', 'Mortar cube 50 mm', '50', '50', '50', '0.125'),
  'mortar-70': box('vibrated cube', 'SI', 'Mortar cube 70.6 mm', '70.6', '70.6', '70.6', '0.351895816'),
  'prism-3.5': box('grout prism', 'US', 'Grout prism, about 3 1/2 × 7 in', '3.5', '3.5', '7', '0.04962384'),
  'prism-90': box('grout prism', 'SI', 'Grout prism, about 90 × 180 mm', '90', '90', '180', '1.458'),
} as const satisfies Record<string, MouldFacts>;

export type MouldSize = keyof typeof MOULDS;
/** Every size a specimen can have, cores too. */
export const SPECIMEN_SIZES = Object.keys(MOULDS) as MouldSize[];
const FRESH: readonly MouldKind[] = ['cylinder', 'beam', 'cube'];
/** The moulds that fresh concrete is put into. */
export const MOULD_SIZES = SPECIMEN_SIZES.filter(isMouldedConcrete);

/** True for specimens made of the sample's own fresh concrete: no core, no grout, no mortar. */
export function isMouldedConcrete(size: string): size is MouldSize {
  return isMould(size) && FRESH.includes(MOULDS[size].kind);
}

/** True for what is made in a mould, or drilled out of what was placed: it has a size by its name, and an age. */
export function isMould(form: string): form is MouldSize {
  return Object.hasOwn(MOULDS, form);
}

/** True for a specimen that is kept in reserve: it has an age, and none is asked of it. */
export function isHeld({
  form,
  ageHours,
}: {
  readonly form: string;
  readonly ageHours: number | null;
}): boolean {
  return isMould(form) && ageHours === null;
}

/** Every size of some kinds. */
export function sizesOf(...kinds: readonly MouldKind[]): MouldSize[] {
  return SPECIMEN_SIZES.filter((size) => kinds.includes(MOULDS[size].kind));
}

/** What is known of a mould, seen through the common interface. */
export function mouldOf(size: MouldSize): MouldFacts {
  return MOULDS[size];
}

/** A size in a system: what it is named for, in in or mm. */
export interface NominalSize {
  readonly across: Exact;
  readonly length: Exact;
}

/** Beams, moulded or sawn: what every method of bending takes. */
export const BEAMS = ['beam', 'sawn beam'] as const satisfies readonly MouldKind[];

/** What a mould of one kind, or of a few, stands for, in the unit of a system; undefined for any other form. */
export function nominalOf(
  form: string | undefined,
  kind: MouldKind | readonly MouldKind[],
  system: System,
): NominalSize | undefined {
  if (form === undefined || !isMould(form) || ![kind].flat().includes(MOULDS[form].kind)) return undefined;
  const own = MOULDS[form];
  const inSystem = (text: string): Exact =>
    own.system === system
      ? exact(text)
      : own.system === 'US'
        ? exact(text).times('25.4')
        : exact(text).div('25.4');
  return { across: inSystem(own.across), length: inSystem(own.length) };
}

/** True for a cylinder larger than the smallest of its system: 6 × 12, 150 × 300 and over. */
export function isLargeCylinder(size: MouldSize): boolean {
  return size !== '4x8' && size !== '100x200';
}

/** A mould as it is written: `4 × 8 in`, `Beam 6 × 6 × 20 in`. */
export function mouldText(size: MouldSize): string {
  return MOULDS[size].label;
}

/** The mould that is usual in a system. */
export const USUAL_MOULD: Readonly<Record<System, MouldSize>> = { US: '4x8', SI: '100x200' };

/** The moulds of a system that fresh concrete is put into; cubes are made in SI only. */
export function mouldsOf(system: System): readonly MouldSize[] {
  return MOULD_SIZES.filter((size) => MOULDS[size].system === system);
}

/** Kinds of specimens with their curing, each once, `beam/field`: what the clocks of curing ask for. */
export function specimenClasses(
  made: readonly { readonly form: string; readonly about: { readonly cure?: string | undefined } }[],
): string[] {
  const classes = made.flatMap(({ form, about }) =>
    isMould(form) && about.cure ? [`${mouldOf(form).kind}/${about.cure}`] : [],
  );
  return [...new Set(classes)].toSorted();
}
