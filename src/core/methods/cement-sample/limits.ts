import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Cement, sampling', standard('ASTM C183'), {
    'cement-sample.mass': r('A sample', '>= 5000 g'),
    'cement-sample.bag': r('Tons for each bag that a sample is made up of', '= 5'),
    'cement-sample.bulk': r('Tons for each sample of several cars', '= 100'),
    'cement-sample.bulk-least': r('Samples of several cars, at the least', '= 2'),
    'cement-sample.points': r('Places that a sample of one car is taken from', '>= 3'),
    'cement-sample.grabs': r('Grabs in one sample', '<= 30', ourChoice('more are counted again')),
    'cement-sample.retained': r('Left on the 850 µm sieve', '<= 1 %', ourChoice('more is hydrated already')),
    'cement-sample.hot': r('Cement when it comes', '<= 104 degF', '<= 40 degC', ourChoice('let it cool')),
    'cement-sample.reserve': r('Sealed reserve', '>= 2000 g', ourChoice('for a second test of everything')),
    'cement-sample.step': r('Share left on the sieve, reported to', '= 0.1 %', ourChoice('as it is weighed')),
  }),
  ...group('Cement, masses of its tests', ourChoice('with what is spilt'), {
    'cement-mass.paste': r('A paste for consistency, setting or autoclave', '= 650 g', standard('ASTM C187')),
    'cement-mass.cubes': r('Six cubes', '= 500 g', standard('ASTM C109/C109M')),
    'cement-mass.air': r('Air of mortar', '= 350 g', standard('ASTM C185')),
    'cement-mass.stiffening': r('Early stiffening', '= 500 g', standard('ASTM C451')),
    'cement-mass.fine': r('Surface, density, loss and heat together', '= 250 g'),
  }),
};
