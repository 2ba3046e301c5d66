import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Broken section', ourChoice('how a face is judged'), {
    'section.within': r('Looked at after the break', '<= 10 min'),
    'section.points': r('Points counted in a third', '>= 150'),
    'section.z': r('Difference in standard errors from which it is shown', '= 2'),
    'section.relative': r('Difference of the stones, of their mean, from which it is segregated', '= 25 %'),
    'section.void': r('Largest void', '<= 0.5 in', '<= 12 mm'),
    'section.share': r('Stone in a third of the face, usually', '0.2 to 0.7'),
    'section.step': r('Difference reported to', '= 1 %'),
    'section.mortar-1': r('Mortar on top, slight gradient', '<= 0.2 in', '<= 5 mm', standard('AASHTO R 81')),
    'section.mortar-2': r('Mortar on top, visible layer', '<= 1 in', '<= 25 mm', standard('AASHTO R 81')),
    'section.depth': r('Depth of steel off the drawing', '<= 0.25 in', '<= 6 mm'),
  }),
};
