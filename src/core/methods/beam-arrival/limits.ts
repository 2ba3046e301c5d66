import { group, r } from '../../limits/row';
import { ourChoice } from '../../working';

export const LIMITS = {
  ...group('Beam on arrival', ourChoice('what is worth a photograph'), {
    'arrival.void': r('Voids that are counted, across', '>= 0.25 in', '>= 5 mm'),
    'arrival.honeycomb': r('Honeycomb of all four faces', '<= 2 %'),
    'arrival.step': r('Share of the faces reported to', '= 0.1 %'),
    'arrival.middle': r('Middle third of a beam, from its end, of its length', '33.3 to 66.7 %'),
  }),
};
