import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Profile of a surface', standard('ICRI 310.2R'), {
    'profile.sealer': r('Profile under a sealer, to 3 mil [0.08 mm]', '1 to 3'),
    'profile.thin': r('Profile under a thin film, 4 to 10 mil [0.1 to 0.25 mm]', '1 to 3'),
    'profile.high-build': r('Profile under a coating of 10 to 40 mil [0.25 to 1 mm]', '3 to 5'),
    'profile.levelling': r('Profile under a levelling topping, 50 mil to 1/8 in [1.3 to 3 mm]', '4 to 6'),
    'profile.polymer': r('Profile under a polymer overlay, 1/8 to 1/4 in [3 to 6 mm]', '5 to 9'),
    'profile.overlay': r('Profile under concrete, above 1/4 in [6 mm]', '5 to 10'),
  }),
  ...group('Profile of a surface', ourChoice('how spots are compared'), {
    'profile.spots': r('Spots compared', '>= 3'),
    'profile.bracket': r('Chips between which a spot lies', '<= 1'),
    'profile.step': r('Profile told to', '= 1'),
    'profile.putty-step': r('Peak to valley told to', '= 0.001 in', '= 0.01 mm'),
  }),
};
