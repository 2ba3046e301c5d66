import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const CHOICE = ourChoice('as it can be kept');

/** The tests of a cement that come to one figure. */
export const LIMITS = {
  ...group('Cement, its surface', standard('ASTM C204'), {
    'surface.agree': r('Two beds apart, of the one', '<= 1 %'),
    'surface.porosity': r('Porosity of a bed, off what was set', '<= 0.005'),
    'surface.warm': r('Temperatures apart without a factor', '<= 3 degC'),
    'surface.constant': r('Constant of the porosity', '= 0.9'),
    'surface.step': r('Surface, reported to', '= 1 m2/kg'),
    'surface.usual': r('Surface that cement has', '250 to 700 m2/kg', ourChoice('beyond it is read again')),
    'surface.time': r('Time that air takes', '20 to 400 s', ourChoice('beyond it is read again')),
  }),
  ...group('Cement, through the 45 µm sieve', standard('ASTM C430'), {
    'sieve45.mass': r('Cement on the sieve', '0.95 to 1.05 g'),
    'sieve45.pressure': r('Pressure at the nozzle', '9.5 to 10.5 psi', '0.065 to 0.073 MPa'),
    'sieve45.correction': r(
      'Correction of a sieve that is still used',
      '± 50 %',
      ourChoice('else another sieve'),
    ),
    'sieve45.step': r('Share through it, reported to', '= 0.1 %'),
  }),
  ...group('Cement, its density', standard('ASTM C188'), {
    'cement-density.first': r('First reading of the flask', '0 to 1 mL'),
    'cement-density.second': r('Second reading of the flask', '18 to 24 mL'),
    'cement-density.warm': r('Temperatures of the two readings apart', '<= 0.2 degC'),
    'cement-density.agree': r('Two determinations apart (g/cm³)', '<= 0.03'),
    'cement-density.step': r('Density, reported to (g/cm³)', '= 0.01'),
    'cement-density.usual': r(
      'Density that cement has (g/cm³)',
      '2.85 to 3.22',
      ourChoice('beyond it is read again'),
    ),
  }),
  ...group('Cement, air of its mortar', standard('ASTM C185'), {
    'cement-air.flow': r('Flow of the mortar', '80 to 95 %'),
    'cement-air.drops': r('Drops of the table', '= 10'),
    'cement-air.cup': r('The cup holds', '= 400 mL'),
    'cement-air.step': r('Air, reported to', '= 1 %'),
    'cement-air.usual': r('Air that mortar has', '0 to 25 %', ourChoice('beyond it is read again')),
    'cement-air.water': r('Water of it, of the cement', '55 to 85 %', ourChoice('beyond it is read again')),
  }),
  ...group('Cement, in the autoclave', standard('ASTM C151'), {
    'autoclave.up': r('Up to its pressure', '45 to 75 min'),
    'autoclave.hold': r('It is held', '>= 180 min'),
    'autoclave.pressure': r('Pressure', '285 to 305 psi', '1.93 to 2.07 MPa'),
    'autoclave.down': r('Down again', '<= 90 min'),
    'autoclave.age': r('Bars when they are measured first', '23.5 to 24.5 h'),
    'autoclave.gauge': r('Gauge length', '= 10 in', '= 250 mm'),
    'autoclave.agree': r('Two bars apart', '<= 0.05 %', ourChoice('more are not one paste')),
    'autoclave.step': r('Expansion, reported to', '= 0.01 %'),
    'autoclave.usual': r('Expansion that cement has', '-0.2 to 1.0 %', ourChoice('beyond it is read again')),
  }),
  ...group('Cement, between needles', standard('EN 196-3'), {
    'needles.boil': r('Up to boiling', '25 to 35 min'),
    'needles.hold': r('It boils', '175 to 185 min'),
    'needles.step': r('Expansion, reported to', '= 0.5 mm'),
    'needles.usual': r('Expansion that cement has', '<= 20 mm', ourChoice('beyond it is read again')),
  }),
  ...group('Cement, loss on ignition', standard('ASTM C114'), {
    'cement-loss.mass': r('Cement in the crucible', '0.9 to 1.1 g'),
    'cement-loss.furnace': r('Furnace', '1652 to 1832 degF', '900 to 1000 degC'),
    'cement-loss.constant': r('Two weighings apart', '<= 0.0005 g'),
    'cement-loss.step': r('Loss, reported to', '= 0.1 %'),
    'cement-loss.usual': r('Loss that cement has', '0.2 to 10 %', ourChoice('beyond it is read again')),
  }),
  ...group('Cement, early stiffening', standard('ASTM C451'), {
    'stiffening.first': r('Plunger goes in at first', '28 to 36 mm'),
    'stiffening.release': r('First release after the end of mixing', '17 to 23 s', CHOICE),
    'stiffening.second': r('Second release after the end of mixing', '295 to 305 s', CHOICE),
    'stiffening.step': r('Penetration that is left, reported to', '= 1 %'),
    'stiffening.water': r('Water of the paste', '22 to 42 %', ourChoice('beyond it is read again')),
    'stiffening.back': r(
      'Remixed it comes back to this share of the first',
      '>= 80 %',
      ourChoice('false set, else flash set'),
    ),
  }),
  ...group('Cement, Gillmore needles', standard('ASTM C266'), {
    'gillmore.step': r('Set, reported to', '= 5 min'),
    'gillmore.every': r('From one look to the next', '<= 15 min'),
    'gillmore.usual': r('Set that cement has', '60 to 720 min', ourChoice('beyond it is read again')),
  }),
};
