import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Screening by impedance', standard('ASTM F2659'), {
    'impedance.first': r('Places for the first part of an area', '= 8'),
    'impedance.further': r('Places for each further part', '= 5'),
  }),
  ...group('Screening by impedance', ourChoice('how a survey is read'), {
    'impedance.spread': r('Readings of one place apart, scale to 6', '<= 0.5'),
    'impedance.gradient': r('Places of one zone apart, scale to 6', '<= 1'),
    'impedance.step': r('Readings told to', '= 0.1'),
  }),
};
