import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C109 = standard('ASTM C109/C109M');

/** What two laboratories may lie apart on one cement: the difference of two results that is passed once in twenty. */
export const LIMITS = {
  ...group('Cement, mill sheet', C109, {
    'mill.strength-3d': r('Two laboratories, strength at 3 d, of its mean', '= 19.2 %'),
    'mill.strength-7d': r('Two laboratories, strength at 7 d, of its mean', '= 18.1 %'),
    'mill.strength-28d': r('Two laboratories, strength at 28 d, of its mean', '= 20.9 %'),
    'mill.surface': r('Two laboratories, surface, of its mean', '= 6.0 %', standard('ASTM C204')),
    'mill.consistency': r('Two laboratories, consistency, percent of water', '= 1.0', standard('ASTM C187')),
    'mill.initial': r('Two laboratories, initial set', '= 45 min', standard('ASTM C191')),
    'mill.final': r('Two laboratories, final set', '= 122 min', standard('ASTM C191')),
    'mill.density': r('Two laboratories, density, g/cm³', '= 0.10', standard('ASTM C188')),
    'mill.heat-7d': r('Two laboratories, heat in 7 d', '= 45 J/g', standard('ASTM C1702')),
  }),
  ...group('Cement, mill sheet', ourChoice('how far apart means what'), {
    'mill.agrees': r('Share of that up to which a value agrees', '= 0.5'),
    'mill.within': r('Share of that up to which it lies within the method', '= 1'),
    'mill.investigate': r('Share of that beyond which both test one split sample', '= 1.5'),
    'mill.compound': r('A compound off what its oxides give, percent', '<= 1'),
    'mill.alkalies': r('Alkalies off what their oxides give, percent', '<= 0.02'),
  }),
};
