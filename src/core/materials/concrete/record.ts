import type { Exposure, SlumpClass } from '../../methods/kinds';

/** What is asked of a concrete, as it is stored; measures as text with their unit. */
export interface ConcreteAsked {
  /** f'c, as specified; null where only a flexural strength is. */
  readonly specifiedStrength: string | null;
  readonly ageDays: string;
  readonly ageHours: number;
  /** Of beams, with the age at which it counts, and the one that lets traffic on. */
  readonly flexuralStrength?: string | null;
  readonly flexuralLoading?: 'third' | 'centre' | null;
  readonly flexuralHours?: number;
  readonly openingStrength?: string | null;
  readonly slumpKind: 'target' | 'maximum' | null;
  readonly slump: string | null;
  readonly temperatureMaximum: string | null;
  readonly temperatureMinimum: string | null;
  readonly slumpClass: SlumpClass | null;
  readonly slumpFlow: string | null;
  /** Nominal maximum size of the aggregate. */
  readonly aggregate: string | null;
  readonly air: string | null;
  readonly exposure: Exposure | null;
  readonly airMethod: 'pressure' | 'volumetric' | null;
  readonly aggregateFactor: string | null;
  /** The project permits the reduced air of concrete above the limit of strength. */
  readonly airReduced: boolean;
  readonly density: string | null;
  readonly waterRatio: string | null;
  readonly cementitious: string | null;
  readonly water: string | null;
  readonly bleedsLittle: boolean;
}

/** What is known of a placement besides its title and time, as it is stored. */
export interface PlacementAbout {
  readonly location: string;
  readonly volume: string | null;
  /** Slab, or one face of a wall. */
  readonly area: string | null;
  /** Least dimension of the section. */
  readonly section: string | null;
}

/** What is known of a specimen besides its form and age, as it is stored. */
export interface SpecimenAbout {
  readonly cure?: 'standard' | 'field';
  /** Strength asked of a grout or a mortar; null for concrete, whose mix says it. */
  readonly specifiedStrength?: string | null;
  /** What its sample was made for: mortar of the laboratory, or of the wall. */
  readonly purpose?: string;
}
