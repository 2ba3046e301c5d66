import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const CHOICE = ourChoice('as it can be kept');

export const LIMITS = {
  ...group('Mortar of vibrated cubes', standard('IS 4031-6'), {
    'vibrated-mortar.cement': r('Cement of one cube', '= 200 g'),
    'vibrated-mortar.sand': r('Standard sand of one cube, a third of it of each grade', '= 600 g'),
    'vibrated-mortar.share': r('Part of the consistency that its water takes', '= 4'),
    'vibrated-mortar.more': r('Water besides it, of cement and sand', '= 3.0 %'),
    'vibrated-mortar.step': r('Water, told to', '= 0.01 %', CHOICE),
    'vibrated-mortar.mass': r('A mass of a cube, off what it should be', '± 0.5 g', CHOICE),
    'vibrated-mortar.mixed': r('Mixed after the water came in', '180 to 240 s'),
    'vibrated-mortar.vibrated': r('Vibrated', '115 to 125 s', ourChoice('around two minutes')),
    'vibrated-mortar.in-moulds': r('In their moulds, moist', '23 to 25 h'),
  }),
};
