import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const F2170 = standard('ASTM F2170');

export const LIMITS = {
  ...group('Humidity in a slab', F2170, {
    'slab.depth-one': r('Depth of a hole, slab that dries from one side, of its thickness', '= 40 %'),
    'slab.depth-two': r('Depth of a hole, slab that dries from both sides, of its thickness', '= 20 %'),
    'slab.sealed': r('Hole sealed before it is read', '>= 24 h'),
    'slab.sealed-2011': r('Hole sealed before it is read, editions to 2011', '>= 72 h'),
    'slab.drift': r('Humidity over five minutes', '<= 1 %'),
    'slab.service': r('Service conditions before the test and during it', '>= 48 h'),
    'slab.salt': r('Probe off the humidity of its salt', '<= 2 %'),
    'slab.salt-age': r('Check over salt before use', '<= 30 d'),
    'slab.count-first': r('Tests of the first part of an area', '= 3'),
    'slab.count-area': r('That part, and each further one with a test more', '= 1000 ft2', '= 100 m2'),
    'plan.wall': r('A test by each exterior wall, on or below grade, from it', '<= 3 ft', '<= 1 m'),
    'slab.humidity-step': r('Humidity reported to', '= 1 %'),
    'slab.ratio-step': r('Depth over thickness reported to', '= 0.1 %'),
  }),
  ...group('Humidity in a slab', commonPractice, {
    'floor.humidity-resilient': r('Resilient floor, its maker silent', '<= 75 %', standard('ASTM F710')),
    'floor.humidity-resin': r(
      'Coating that lets no vapour through, its maker silent',
      '<= 80 %',
      standard('SSPC-SP 13'),
    ),
    'floor.humidity-carpet': r('Glued carpet, its maker silent', '<= 75 %'),
    'floor.humidity-wood': r('Glued wood, its maker silent', '<= 75 %'),
  }),
  ...group('Humidity in a slab', ourChoice('how a hole and a reading are judged'), {
    'slab.depth': r('Hole off its depth', '<= 0.125 in', '<= 3 mm'),
    'slab.apart': r('Probe off the temperature of the concrete', '<= 1 deltaF', '<= 0.5 deltaC'),
    'plan.flag': r('A test at each place that was flagged, from it', '<= 3 ft', '<= 1 m'),
    'plan.point': r('Test from another of its kind', '>= 1 ft', '>= 0.3 m'),
    'slab.room': r('Humidity of the hole off that of the room, leak', '>= 5 %'),
    'slab.band': r('Two readings of the same water apart', '<= 3 %'),
    'slab.forecast-count': r('Readings that a forecast wants', '= 4'),
    'slab.forecast-span': r('Days that they span', '= 21 d'),
    'slab.forecast-apart': r('Temperatures of them apart', '<= 5 deltaF', '<= 3 deltaC'),
    'slab.forecast-scatter': r('Scatter of readings, never less than', '= 1 %'),
  }),
};
