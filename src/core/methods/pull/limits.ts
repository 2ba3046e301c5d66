import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const D4541 = standard('ASTM D4541');
const ISO4624 = standard('ISO 4624');
const D7234 = standard('ASTM D7234');
const C1583 = standard('ASTM C1583/C1583M');
const EN1542 = standard('EN 1542');
const EN1015 = standard('EN 1015-12');
const D7522 = standard('ASTM D7522/D7522M');

export const LIMITS = {
  ...group('Pull-off', D4541, {
    'pull.rate-d4541': r('Pull of a coating on metal', '<= 150 psi/s', '<= 1 MPa/s'),
    'pull.time-d4541': r('Pull of a coating on metal, from start to break', '<= 100 s'),
    'pull.step-metal': r('Pull-off of a coating on metal reported to', '= 10 psi', '= 0.1 MPa'),
    'pull.rate-iso4624': r('Pull of a coating on metal, ISO', '<= 150 psi/s', '<= 1 MPa/s', ISO4624),
    'pull.time-iso4624': r('Pull of a coating on metal, ISO, from start to break', '<= 90 s', ISO4624),
    'pull.cut-from-iso4624': r(
      'Film that is cut through to the metal, ISO, above',
      '= 0.006 in',
      '= 0.15 mm',
      ISO4624,
    ),
    'pull.rate-d7234': r('Pull of a coating on concrete', '<= 30 psi/s', '<= 0.2 MPa/s', D7234),
    'pull.time-d7234': r('Pull of a coating on concrete, from start to break', '5 to 30 s', D7234),
    'pull.step-concrete': r('Pull-off of a coating on concrete reported to', '= 5 psi', '= 0.05 MPa', D7234),
    'pull.cut-from-d7234': r('Film on concrete that is cut through, above', '= 0.02 in', '= 0.5 mm', D7234),
    'pull.rate-c1583': r('Pull of an overlay', '3 to 7 psi/s', '0.02 to 0.05 MPa/s', C1583),
    'pull.cut-c1583': r('Core below the interface, or into the surface', '>= 0.4 in', '>= 10 mm', C1583),
    'pull.step-core': r('Pull-off of an overlay reported to', '= 5 psi', '= 0.1 MPa', C1583),
    'pull.rate-en1542': r('Pull of an overlay, EN', '5.8 to 8.7 psi/s', '0.04 to 0.06 MPa/s', EN1542),
    'pull.cut-en1542': r('Core into the substrate, EN', '0.4 to 0.8 in', '10 to 20 mm', EN1542),
    'pull.rate-en1015': r('Pull of mortar, EN', '0.43 to 14.5 psi/s', '0.003 to 0.1 MPa/s', EN1015),
    'pull.time-en1015': r('Pull of mortar, EN, from start to break', '20 to 60 s', EN1015),
    'pull.rate-d7522': r('Pull of a glued fibre sheet', '<= 2.4 psi/s', '<= 0.0167 MPa/s', D7522),
    'pull.cut-d7522': r('Cut into the concrete under a fibre sheet', '0.25 to 0.5 in', '6 to 12 mm', D7522),
    'pull.fibre': r(
      'Fibre sheet on concrete, nothing said',
      '>= 200 psi',
      '>= 1.4 MPa',
      standard('ACI 440.2R'),
    ),
    'pull.count': r('Pulls of one area', '= 3'),
    'pull.glue': r('Share of the face that may have parted in the glue', '<= 50 %'),
  }),
  ...group('Pull-off', commonPractice, {
    'pull.coating-concrete': r('Coating on concrete, nothing said', '>= 200 psi', '>= 1.4 MPa'),
    'pull.dew': r('Surface above the dew point', '>= 5 deltaF', '>= 3 deltaC'),
    'glue.doubling': r('Glue cures twice as fast for each', '= 18 deltaF', '= 10 deltaC'),
  }),
  ...group('Pull-off', ourChoice('how a pull is judged'), {
    'pull.rate-en-near': r(
      'Pull of a screed or a glued bond, EN, as of a repair',
      '5.8 to 8.7 psi/s',
      '0.04 to 0.06 MPa/s',
    ),
    'pull.count-area': r('Area with three pulls, and each further one', '= 5000 ft2', '= 460 m2'),
    'pull.cut-d7234': r('Cut into the concrete under a coating', '<= 0.0625 in', '<= 1.5 mm'),
    'pull.range': r('Expected stress, of the reach of the machine with this dolly', '20 to 80 %'),
    'pull.reserve': r('Reach over the stress asked for, times', '>= 1.25'),
    'pull.accuracy': r('Accuracy of a tester, of its reach', '= 1 %'),
    'pull.zero': r('Tester shows unloaded, of its reach', '<= 0.5 %'),
    'pull.hold': r('Load stood still while it was pulled', '<= 1 s'),
    'pull.start': r('A pull is counted from, of its greatest stress', '= 10 %'),
    'pull.core-apart': r('Two diameters of a core apart', '<= 0.05 in', '<= 1 mm'),
    'pull.forbidden': r('Share of a plane from which it counts', '>= 10 %'),
    'pull.scatter': r('Coefficient of variation of one area', '<= 20 %'),
    'pull.skin': r('Break that deep is the skin only', '<= 0.04 in', '<= 1 mm'),
    'pull.share-step': r('Shares of a face told to', '= 1 %'),
  }),
};
