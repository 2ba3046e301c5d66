import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const CHOICE = ourChoice('as it can be kept');

export const LIMITS = {
  ...group('Cement, its mortar', standard('ASTM C109/C109M'), {
    'cement-mortar.ratio': r('Water to cement of portland cement', '= 0.485'),
    'cement-mortar.ratio-air': r('Water to cement of air-entraining portland cement', '= 0.460'),
    'cement-mortar.flow': r('Flow of every other cement', '105 to 115 %'),
    'cement-mortar.aim': r('Flow that is aimed at', '= 110 %'),
    'cement-mortar.sand': r('Sand to cement', '= 2.75'),
    'cement-mortar.six': r('Cement for six cubes', '= 500 g'),
    'cement-mortar.nine': r('Cement for nine cubes', '= 740 g'),
    'cement-mortar.mass': r('A mass of the batch, off what it should be', '<= 0.5 g', CHOICE),
    'cement-mortar.mould': r('From the end of mixing to the first tamping', '<= 150 s'),
    'cement-mortar.in-moulds': r('In their moulds in the cabinet', '20 to 72 h'),
    'cement-mortar.slope': r('Flow for a percent of water', '= 9', ourChoice('of one batch only')),
    'cement-mortar.usual': r('Flow that mortar has', '60 to 150 %', ourChoice('beyond it is read again')),
    'cement-mortar.usual-ratio': r(
      'Water to cement that mortar has',
      '0.3 to 0.8',
      ourChoice('beyond it is read again'),
    ),
  }),
  ...group('Cement, its mortar', standard('ASTM C1437'), {
    'flow-table.lift': r('From the end of mixing to the lift of its mould', '55 to 65 s', CHOICE),
    'flow-table.drops': r('Drops of the table', '= 25'),
    'flow-table.time': r('They take', '14 to 16 s', CHOICE),
    'flow-table.base': r('Inside base of the mould', '= 4 in', '= 100 mm'),
    'flow-table.step': r('Flow, reported to', '= 1 %'),
    'flow-table.spread': r(
      'Four diameters apart, of their mean',
      '<= 8 %',
      ourChoice('the table stands level'),
    ),
  }),
};
