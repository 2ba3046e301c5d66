import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const D4262 = standard('ASTM D4262');

export const LIMITS = {
  ...group('pH of a surface', standard('ASTM F710'), {
    'ph.wait': r('Puddle stands before it is read', '55 to 65 s'),
    'ph.usual': r('pH of a surface, the maker of its floor silent', '7 to 10'),
    'ph.rinse-below': r('After acid, below the rinse water by', '= 1', D4262),
    'ph.rinse-above': r('After acid, above the rinse water by', '= 2', D4262),
    'ph.rinse': r('Rinse water whose pH is read after acid', '= 1', D4262),
    'ph.goal': r(
      'What is asked of a surface, below which a test can promise nothing',
      '>= 8',
      ourChoice('concrete is alkaline by nature'),
    ),
    'ph.step': r('pH told to', '= 0.1', ourChoice('as it is read')),
  }),
};
