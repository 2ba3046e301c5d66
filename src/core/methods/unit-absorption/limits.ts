import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Masonry units: absorption test', standard('ASTM C140/C140M'), {
    'unit.cut-share': r('Piece cut for absorption, of the received mass of its unit', '>= 20 %'),
    'unit.water': r('Density of water, whatever its temperature', '= 62.4 lb/ft3', '= 1000 kg/m3'),
    'unit.absorption-step': r('Absorption and density reported to', '= 0.1 lb/ft3', '= 1 kg/m3'),
    'unit.percent-step': r('Absorption by mass, moisture, share solid reported to', '= 0.1 %'),
    'unit.area-step': r('Areas reported to', '= 0.1 in2', '= 100 mm2'),
    'unit.volume-step': r('Net volume reported to', '= 0.01 ft3', '= 0.1 L'),
    'unit.size-step': r(
      'Overall dimensions said to',
      '= 0.01 in',
      '= 0.1 mm',
      ourChoice('a tenth of an inch hides an error'),
    ),
    'unit.thin-step': r('Face shells and webs reported to', '= 0.01 in', '= 0.1 mm'),
    'unit.thick-step': r('Equivalent thickness reported to', '= 0.1 in', '= 1 mm'),
    'unit.web-area-step': r('Normalised web area reported to', '= 0.1 in2/ft2', '= 500 mm2/m2'),
    'unit.shells-alike': r(
      'Face shells of one unit that differ by less give their mean, else the thinner',
      '= 0.125 in',
      '= 3 mm',
    ),
    'unit.solid': r('A unit counts as solid from a share of', '= 75 %', standard('ASTM C90')),
    'unit.density-usual': r(
      'Density that units have',
      '75 to 150 lb/ft3',
      '1200 to 2400 kg/m3',
      ourChoice('ask again outside'),
    ),
    'unit.absorption-usual': r(
      'Absorption that units have',
      '2 to 20 lb/ft3',
      '32 to 320 kg/m3',
      ourChoice('ask again outside'),
    ),
    'unit.size-far': r(
      'A dimension off the specified one',
      '<= 0.5 in',
      '<= 13 mm',
      ourChoice('more: fields are swapped'),
    ),
    'unit.area-alike': r('Net areas of a set off their mean', '<= 3 %', ourChoice('weigh the odd one again')),
    'unit.density-alike': r(
      'Densities of a set apart',
      '<= 3 lb/ft3',
      '<= 48 kg/m3',
      ourChoice('weigh the odd one again'),
    ),
  }),
};
