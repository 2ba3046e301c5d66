import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const D5731 = standard('ASTM D5731');
const ISRM = standard('ISRM suggested method, point load strength, 1985');

export const LIMITS = {
  ...group('Rock under the point load', D5731, {
    'point.depth': r('Distance between the points', '1.2 to 3.35 in', '30 to 85 mm'),
    'point.width': r('Width of the section through the points', '1.2 to 3.35 in', '30 to 85 mm'),
    'point.depth-width': r('Depth over width of the section: axial, block, lump', '0.3 to 1.0'),
    'point.free-end': r('From the load line to the nearest free end, of the depth', '>= 0.5'),
    'point.free-end-width': r(
      'From the load line to the nearest free end, of the width, by the running text',
      '>= 0.5',
      ISRM,
    ),
    'point.core-length': r('Length of a core loaded across, of its diameter, more than', '= 1.0'),
    'point.time': r('From the beginning of the load to failure', '10 to 60 s'),
    'point.penetration': r(
      'Points dug in by less than this are not counted, of the depth',
      '<= 2 %',
      ourChoice('when it is significant is not said'),
    ),
    'point.size': r('Size the index is corrected to', '= 1.9685 in', '= 50 mm'),
    'point.exponent': r('Exponent of the size factor', '= 0.45'),
    'point.trim-one': r('Pieces from which on the highest and the lowest are left out of the mean', '>= 3'),
    'point.trim-two': r('Pieces from which on the two highest and the two lowest are left out', '>= 10'),
    'point.step': r('Index reported to', '= 1 psi', '= 0.01 MPa', ourChoice('the reading is no better')),
    'point.size-step': r('Equivalent diameter said to', '= 0.01 in', '= 0.1 mm', ourChoice('as it is read')),
    'point.load-step': r('Load said to', '= 1 lbf', '= 0.01 kN', ourChoice('as it is read')),
    'point.far': r(
      'Load at failure against the expected one',
      '0.2 to 5',
      ourChoice('a wrong unit, or another rock'),
    ),
    'point.agree': r(
      'Depth on the frame off the calliper, of the depth',
      '<= 2 %',
      ourChoice('as the depth is to be read to'),
    ),
    'point.crush': r(
      'Crushed to seat the points at, of the load at failure, up to',
      '<= 10 %',
      ourChoice('crushing is not in the method'),
    ),
    'point.crush-most': r(
      'Crushed to seat the points: the piece is damaged above',
      '<= 20 %',
      ourChoice('crushing is not in the method'),
    ),
    'point.usual': r(
      'Index that rock can have',
      '5 to 3600 psi',
      '0.03 to 25 MPa',
      ourChoice('ask again outside'),
    ),
    'point.ambiguous': r(
      'Index below which it says little of the strength',
      '>= 145 psi',
      '>= 1.0 MPa',
      standard('Published rock-mass strength table, 1997'),
    ),
    'point.factor': r(
      'General factor K, of the index at 50 mm',
      '= 23',
      standard('ASTM D5731', 'table, row of 50 mm'),
    ),
    'point.factor-is': r('Factor K by IS 8764', '= 22', standard('IS 8764')),
    'point.power-factor': r('Factor of the power law by GB/T 50218, MPa', '= 22.82', standard('GB/T 50218')),
    'point.power-exponent': r('Exponent of the power law by GB/T 50218', '= 0.75', standard('GB/T 50218')),
    'point.span': r('Strength over index, as found on different rocks', '15 to 50', ISRM),
    'point.estimate-step': r(
      'Estimated strength said to',
      '= 100 psi',
      '= 1 MPa',
      ourChoice('the factor is no better'),
    ),
    'point.estimate-ambiguous': r(
      'Estimated strength below which the index says little of it',
      '>= 3600 psi',
      '>= 25 MPa',
      standard('Published rock-mass strength table, 1997'),
    ),
    'point.fit-count': r('Pieces that a line of the group wants', '>= 5', ourChoice('fewer carry no line')),
    'point.fit-span': r(
      'Largest over smallest De² that a line of the group wants',
      '>= 2',
      ourChoice('pieces of one size give no slope'),
    ),
    'point.fit-reach': r(
      '50 mm beyond the sizes of the group, factor in De²',
      '<= 1.5',
      ourChoice('no line is drawn out further'),
    ),
    'point.fit-slope': r('Slope of the line of a group', '0.5 to 1.0', ourChoice('0.775 by the size factor')),
    'point.alike': r(
      'Greatest over least index of a group',
      '<= 3',
      ourChoice('look at the pieces before they are averaged'),
    ),
    'point.rejected': r(
      'Pieces that are no valid test, of those tested',
      '<= 30 %',
      ourChoice('more point at the frame or the fabric'),
    ),
    'point.pieces-lump': r('Lumps that make a group', '>= 20'),
    'point.pieces-core': r('Pieces of core or sawn blocks that make a group', '>= 10'),
    'point.yield-lump': r(
      'Share of lumps that make a valid test',
      '= 0.75',
      ourChoice('70 to 80 % is usual in the field'),
    ),
    'point.yield-core': r('Share of pieces of core that make a valid test', '= 0.85', ourChoice('as usual')),
    'point.capacity': r(
      'Expected load, of the capacity of the frame',
      '<= 80 %',
      ourChoice('room for a stronger piece'),
    ),
    'point.read-load': r('Uncertainty of the load, for the uncertainty of the index', '= 5 %', ISRM),
    'point.read-depth': r('Uncertainty of the depth', '= 2 %', ISRM),
    'point.read-width': r('Uncertainty of the width', '= 5 %', ISRM),
  }),
  // Boundaries belong to the higher grade: our choice.
  ...group('Grades of rock by its strength', standard('ISRM suggested methods, 1981'), {
    'rock.grade-0': r('Extremely weak from', '= 36 psi', '= 0.25 MPa'),
    'rock.grade-1': r('Very weak from', '= 145 psi', '= 1 MPa'),
    'rock.grade-2': r('Weak from', '= 725 psi', '= 5 MPa'),
    'rock.grade-3': r('Medium strong from', '= 3600 psi', '= 25 MPa'),
    'rock.grade-4': r('Strong from', '= 7250 psi', '= 50 MPa'),
    'rock.grade-5': r('Very strong from', '= 14500 psi', '= 100 MPa'),
    'rock.grade-6': r('Extremely strong from', '= 36000 psi', '= 250 MPa'),
  }),
  ...group('Classes of rock by its index', standard('AS 1726'), {
    'rock.class-0': r('Very low from', '= 4 psi', '= 0.03 MPa'),
    'rock.class-1': r('Low from', '= 15 psi', '= 0.1 MPa'),
    'rock.class-2': r('Medium from', '= 44 psi', '= 0.3 MPa'),
    'rock.class-3': r('High from', '= 145 psi', '= 1 MPa'),
    'rock.class-4': r('Very high from', '= 435 psi', '= 3 MPa'),
    'rock.class-5': r('Extremely high from', '= 1450 psi', '= 10 MPa'),
  }),
  ...group('Rating points of rock by its index', standard('Published rock mass rating, 1989'), {
    'rock.rating-4': r('4 points from', '= 145 psi', '= 1 MPa'),
    'rock.rating-7': r('7 points from', '= 290 psi', '= 2 MPa'),
    'rock.rating-12': r('12 points from', '= 580 psi', '= 4 MPa'),
    'rock.rating-15': r('15 points above', '= 1450 psi', '= 10 MPa'),
  }),
  ...group('ISRM: rows that differ', ISRM, {
    'isrm/point.depth': r('Distance between the points, 50 ± 35 mm', '0.6 to 3.35 in', '15 to 85 mm'),
    'isrm/point.width': r('Width of the section, 50 ± 35 mm', '0.6 to 3.35 in', '15 to 85 mm'),
  }),
};
