import type { Stored } from '../../material/contract';
import { noSlab } from '../../methods/slab/drying';
import { AGGREGATES, noDishOver, TOPS } from '../../methods/slab/surfaces';
import { DECIDES } from './decides';

/** Which tests a zone is decided by, which help, and which say nothing here, with why. */
export interface Wanted {
  /** By method: what the test is called in a sentence. */
  readonly required: readonly (readonly [method: string, name: string])[];
  readonly helps: readonly string[];
  readonly refused: readonly string[];
  readonly remarks: readonly string[];
}

const SHEET = ['slab-sheet', 'plastic sheet'] as const;
const PH = ['surface-ph', 'pH of the surface'] as const;
const DISH = ['slab-emission', 'vapour emission'] as const;
const PROFILE = ['surface-profile', 'profile of the surface'] as const;
const PULL = ['pull-off', 'pull-off'] as const;

const APART = 'Humidity, emission and content are three things: none is turned into another by a formula.';

/**
 * Which tests a zone wants, by what goes on it and what it is.
 * @param asked of the floor @param zone what lies on it now, its aggregate
 * Source: our choice, built on ASTM F710, F1869 and the practice of coatings (from memory).
 */
export function testsWanted(asked: Stored, zone: Stored): Wanted {
  const top = TOPS.find((each) => each === zone.top);
  const aggregate = AGGREGATES.find((each) => each === zone.aggregate);
  const noDish = noDishOver(aggregate, top);
  const resin = asked.floor === 'resin';
  const dish = Boolean(asked.emissionMost);
  const refused = [
    ...(noDish ? [`No dish ${noDish}.`] : []),
    ...(top === 'film' ? ['No plastic sheet over a film: nothing comes up to be seen.'] : []),
  ];
  const upright = noSlab(zone.slab);
  if (upright)
    return {
      required: [SHEET, PH, ...(resin ? [PROFILE, PULL] : [])],
      helps: ['a survey by impedance'],
      refused: [
        `No hole and no dish in ${upright}: both are tests of floor slabs.`,
        ...(top === 'film' ? ['Take the film off first: under it nothing comes up to be seen.'] : []),
      ],
      remarks: [
        'A sheet says that moisture was seen or not, and no more: the maker of the coating is asked too.',
      ],
    };
  const { value: decides, wants } = DECIDES.find(({ value }) => value === asked.decidedBy) ?? DECIDES[0];
  const other = decides !== 'humidity';
  if (top === 'gypsum')
    return {
      required: [...(other ? [wants] : []), PH],
      helps: ['a survey by impedance'],
      refused,
      remarks: other
        ? [APART]
        : [
            'On gypsum the maker of the floor says how moisture is measured: carbide, or a box on it. Say which in what is asked of the floor.',
          ],
    };
  return {
    required: [wants, ...(dish && !noDish ? [DISH] : []), PH, ...(resin ? [PROFILE, PULL] : [])],
    helps: [
      'a survey by impedance, to choose the places',
      ...(dish || noDish ? [] : ['dishes, where the maker asks for them']),
      ...(resin && top !== 'film' ? ['a plastic sheet, as an early sign'] : []),
    ],
    refused,
    remarks: [
      ...(resin ? ['A plastic sheet that stays dry never clears a coating by itself.'] : []),
      ...(top === 'topping' && !other
        ? [
            'A hole of two fifths may reach through a thin topping: ask its maker how moisture is measured, a box on it or carbide.',
          ]
        : []),
      ...(dish && noDish
        ? ['Dishes are asked for and say nothing here: the other tests decide; tell who asked.']
        : []),
      APART,
    ],
  };
}
