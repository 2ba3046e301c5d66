import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Absorption of pipe', standard('ASTM C497/C497M'), {
    'pipe-water.wall': r('Wall of a pipe', '<= 12 in', '<= 305 mm', ourChoice('thicker is read again')),
    'pipe-water.thin': r('A thin wall, up to', '= 1.5 in', '= 38 mm'),
    'pipe-water.thick': r('A thick wall, above', '= 3 in', '= 75 mm'),
    'pipe-water.dry-thin': r('A thin wall in the oven', '>= 24 h'),
    'pipe-water.dry-middle': r('A wall between in the oven', '>= 48 h'),
    'pipe-water.dry-thick': r('A thick wall in the oven', '>= 72 h'),
    'pipe-water.every': r('From one weighing to the next that counts', '>= 6 h'),
    'pipe-water.loss': r('Loss between two weighings', '<= 0.1 %'),
    'pipe-water.oven': r('Oven', '221 to 239 degF', '105 to 115 degC'),
    'pipe-water.wet': r('From the oven into the water', '<= 24 h'),
    'pipe-water.water': r('Water that it is laid in', '50 to 75 degF', '10 to 24 degC'),
    'pipe-water.heat': r('Until it boils', '1 to 2 h'),
    'pipe-water.boil-a': r(
      'Boiled, method A',
      '300 to 315 min',
      ourChoice('five hours, and a quarter more at the most'),
    ),
    'pipe-water.boil-b': r(
      'Boiled, method B',
      '180 to 195 min',
      ourChoice('three hours, and a quarter more at the most'),
    ),
    'pipe-water.cool-a': r('Cooled in its water, method A', '14 to 24 h'),
    'pipe-water.cool-b': r('Cooled in running water, method B', '>= 3 h'),
    'pipe-water.drain': r(
      'Drained on the rack',
      '55 to 65 s',
      ourChoice('a minute, five seconds either way'),
    ),
    'pipe-water.mass-a': r('A piece, method A', '>= 1000 g'),
    'pipe-water.mass-b': r('A core, method B', '>= 100 g'),
    'pipe-water.likely': r('Absorption that pipe has', '2 to 12 %', ourChoice('beyond it is read again')),
    'pipe-water.rise': r(
      'Above what earlier pieces of this size and class took up, percent of the mass',
      '<= 1 %',
      ourChoice('more has a cause'),
    ),
    'pipe-water.step': r('Reported to', '= 0.1 %', ourChoice('a verdict takes the unrounded one')),
  }),
  ...group('Absorption of pipe', standard('ASTM C76/C76M'), {
    'pipe-water.most-a': r('Absorption, method A', '<= 9.0 %'),
    'pipe-water.most-b': r('Absorption, method B', '<= 8.5 %'),
  }),
};
