import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const CHOICE = ourChoice('as it can be kept');

/** The laboratory that cement is tested in, and what every paste goes through. */
export const LIMITS = {
  ...group('Cement, the laboratory', standard('ASTM C187'), {
    'cement.room': r('Room, tools and dry materials', '68 to 78.8 degF', '20 to 26 degC'),
    'cement.humidity': r('Humidity of the room', '>= 50 %'),
    'cement.water': r('Mixing water', '69.8 to 77 degF', '21 to 25 degC'),
    'cement.cabinet': r('Moist cabinet', '69.8 to 77 degF', '21 to 25 degC', standard('ASTM C511')),
  }),
  ...group('Cement, the laboratory', standard('EN 196-1'), {
    'en/cement.room': r('Room, tools and dry materials', '64.4 to 71.6 degF', '18 to 22 degC'),
    'en/cement.water': r('Mixing water', '64.4 to 71.6 degF', '18 to 22 degC'),
    'en/cement.cabinet': r('Moist cabinet', '66.2 to 69.8 degF', '19 to 21 degC'),
  }),
  ...group('Cement, the laboratory', standard('IS 4031'), {
    'is/cement.room': r('Room, tools and dry materials', '77 to 84.2 degF', '25 to 29 degC'),
    'is/cement.humidity': r('Humidity of the room', '60 to 70 %'),
    'is/cement.water': r('Mixing water', '77 to 84.2 degF', '25 to 29 degC'),
    'is/cement.cabinet': r('Moist cabinet', '77 to 84.2 degF', '25 to 29 degC'),
  }),
  ...group('Cement, mixing', standard('ASTM C305'), {
    'cement-mix.overrun': r(
      'A stage of mixing that runs over',
      '<= 10 s',
      ourChoice('longer: another batch'),
    ),
    'cement-mix.stage': r('A stage of mixing, off its time', '± 2 s', CHOICE),
  }),
  ...group('Cement, normal consistency', standard('ASTM C187'), {
    'consistency.depth': r('Plunger goes in by', '9 to 11 mm'),
    'consistency.release': r('From the end of mixing to its release', '<= 30 s'),
    'consistency.read': r('Read after its release', '29 to 31 s', CHOICE),
    'consistency.aim': r('Penetration that is aimed at', '= 10 mm'),
    'consistency.slope': r('Penetration for a percent of water', '= 3', ourChoice('of one trial only')),
    'consistency.step': r('Consistency, reported to', '= 0.5 %'),
    'consistency.jump': r(
      'Against the sample before, percent of water',
      '<= 1',
      ourChoice('more has a cause'),
    ),
    'consistency.cement': r('Cement of a batch', '649.5 to 650.5 g', CHOICE),
    'consistency.usual': r('Water that a paste has', '22 to 34 %', ourChoice('beyond it is read again')),
  }),
  ...group('Cement, normal consistency', standard('EN 196-3'), {
    'en/consistency.depth': r('Plunger goes in by', '32 to 36 mm'),
    'en/consistency.release': r('From the water to its release', '230 to 250 s'),
    'en/consistency.aim': r('Penetration that is aimed at', '= 34 mm'),
    'en/consistency.cement': r('Cement of a batch', '499 to 501 g'),
  }),
  ...group('Cement, normal consistency', standard('IS 4031-4'), {
    'is/consistency.depth': r('Plunger goes in by', '33 to 35 mm'),
    'is/consistency.release': r('From the water to its release', '180 to 300 s'),
    'is/consistency.aim': r('Penetration that is aimed at', '= 34 mm'),
    'is/consistency.cement': r('Cement of a batch', '399.5 to 400.5 g', CHOICE),
  }),
  ...group('Cement, setting', standard('ASTM C191'), {
    'setting.initial': r('Initial set: the needle goes in by', '= 25 mm'),
    'setting.first': r('From moulding to the first fall', '30 to 35 min'),
    'setting.every': r('From one fall to the next', '= 15 min'),
    'setting.every-early': r('From one fall to the next, of cement for early strength', '= 10 min'),
    'setting.gap': r('Falls about the initial set apart', '<= 20 min', ourChoice('more is said')),
    'setting.gap-most': r(
      'Falls about it apart, with a number at all',
      '<= 30 min',
      ourChoice('else a bracket'),
    ),
    'setting.settle': r('Read after the fall', '28 to 32 s', CHOICE),
    'setting.space': r(
      'From one hole to the next',
      '>= 6.35 mm',
      ourChoice('the stricter of two editions, 5 mm and 1/4 in'),
    ),
    'setting.wall': r('From a hole to the ring', '>= 10 mm'),
    'setting.ring': r('Ring at the face that is tested, half of its width', '= 30 mm'),
    'setting.depth': r('Depth of the ring', '= 40 mm'),
    'setting.rise': r(
      'A fall that goes in further than the one before',
      '<= 0.5 mm',
      ourChoice('more is no setting'),
    ),
    'setting.confirm': r('Final set: two more falls without a circle within', '<= 90 s'),
    'setting.step': r('Initial set, reported to', '= 1 min'),
    'setting.step-final': r('Final set, reported to', '= 5 min'),
    'setting.out': r('Out of the cabinet for a fall', '<= 120 s', CHOICE),
    'setting.usual-initial': r(
      'Initial set that cement has',
      '60 to 240 min',
      ourChoice('beyond it is read again'),
    ),
    'setting.usual-final': r(
      'Final set that cement has',
      '120 to 480 min',
      ourChoice('beyond it is read again'),
    ),
    'setting.activation': r(
      'Activation energy, for what a temperature does to the times',
      '= 40000',
      ourChoice('J/mol'),
    ),
  }),
  ...group('Cement, setting', standard('EN 196-3'), {
    'en/setting.initial': r('Initial set: the needle goes in by', '= 34 mm'),
    'en/setting.every': r('From one fall to the next', '= 10 min'),
    'en/setting.space': r('From one hole to the next', '>= 5 mm'),
    'en/setting.wall': r('From a hole to the ring', '>= 8 mm'),
    'en/setting.step': r('Initial set, reported to', '= 5 min'),
    'en/setting.step-final': r('Final set, reported to', '= 15 min'),
  }),
  ...group('Cement, setting', standard('IS 4031-5'), {
    'is/setting.initial': r('Initial set: the needle goes in by', '= 35 mm'),
    'is/setting.step': r('Initial set, reported to', '= 5 min'),
    'is/setting.share': r('Water, of the consistency', '= 0.85'),
  }),
};
