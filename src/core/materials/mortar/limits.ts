import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C270 = standard('ASTM C270');
const C780 = standard('ASTM C780');

/** What masonry mortar is held against, and how it is sampled and kept. */
export const LIMITS = {
  ...group('Masonry mortar: properties in the laboratory', C270, {
    'mortar.m': r('Type M: mean strength at 28 d', '>= 2500 psi', '>= 17.2 MPa'),
    'mortar.s': r('Type S: mean strength at 28 d', '>= 1800 psi', '>= 12.4 MPa'),
    'mortar.n': r('Type N: mean strength at 28 d', '>= 750 psi', '>= 5.2 MPa'),
    'mortar.o': r('Type O: mean strength at 28 d', '>= 350 psi', '>= 2.4 MPa'),
    'mortar.retention': r('Water retention', '>= 75 %'),
    'mortar.air-ms': r('Air of cement-lime and mortar cement, types M and S', '<= 12 %'),
    'mortar.air-no': r('Air of cement-lime and mortar cement, types N and O', '<= 14 %'),
    'mortar.air-masonry-ms': r('Air of masonry cement, types M and S', '<= 18 %'),
    'mortar.air-masonry-no': r('Air of masonry cement, types N and O', '<= 20 %'),
    'mortar.air-steel': r('Air of types N and O with steel in the joints', '<= 12 %'),
    'mortar.air-masonry-steel': r('Air of masonry cement N and O with steel in the joints', '<= 18 %'),
    'mortar.flow': r('Flow of mortar in the laboratory', '105 to 115 %'),
    'mortar.sand': r('Sand, of the volumes of cement and lime together', '2.25 to 3.5'),
    'mortar.count': r('Cubes of one age', '>= 3'),
    'mortar.mould': r('In the moulds', '48 to 52 h'),
    'mortar.percent-step': r(
      'Flow, retention and air reported to',
      '= 0.1 %',
      ourChoice('as the readings allow'),
    ),
    'mortar.cup': r('Cup for air, mL', '= 400'),
    'mortar.air-usual': r(
      'Air of mortar, as it usually is',
      '2 to 25 %',
      ourChoice('else something was misread'),
    ),
    'mortar.base': r('Base of the flow mould', '= 4 in', '= 100 mm', standard('ASTM C1437')),
  }),
  ...group('Masonry mortar: on site', C780, {
    'mortar.use': r('From mixing until it is used up', '<= 2.5 h', C270),
    'mortar.first': r('First storage on site, covered and moist', '16 to 32 h'),
    'mortar.cone': r(
      'Cone penetration, as it usually is',
      '40 to 90 mm',
      ourChoice('wetter or stiffer is looked at'),
    ),
  }),
};
