import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C90 = standard('ASTM C90');
const C1372 = standard('ASTM C1372');
const C936 = standard('ASTM C936');

const BETWEEN = ourChoice('half-way between the nominal widths');

/** The strengths of a product: the mean of three on the net area, and each. */
const strength = (name: string, [mean, each]: [string, string], [meanSi, eachSi]: [string, string]) =>
  ({
    mean: r(`${name}: mean net strength`, `>= ${mean} psi`, `>= ${meanSi} MPa`),
    each: r(`${name}: net strength of each`, `>= ${each} psi`, `>= ${eachSi} MPa`),
  }) as const;
const absorption = (name: string, us: string, si: string) =>
  r(`${name}: absorption`, `<= ${us} lb/ft3`, `<= ${si} kg/m3`);

const c90 = strength('C90', ['2000', '1800'], ['13.8', '12.4']);
const older = strength('C90 up to 2013', ['1900', '1700'], ['13.1', '11.7']);
const c129 = strength('C129', ['600', '500'], ['4.1', '3.4']);
const c55 = strength('C55', ['2500', '2000'], ['17.2', '13.8']);
const c1634 = strength('C1634', ['3500', '3000'], ['24.1', '20.7']);
const sw = strength('C73 SW', ['5500', '4500'], ['37.9', '31.0']);
const mw = strength('C73 MW', ['3500', '3000'], ['24.1', '20.7']);
const c936 = strength('C936', ['8000', '7200'], ['55', '50']);
const c1319 = strength('C1319', ['5000', '4500'], ['34.5', '31.0']);
const c1372 = strength('C1372', ['3000', '2500'], ['20.7', '17.2']);
const d6684 = strength('D6684', ['4000', '3500'], ['27.6', '24.1']);

/** What manufactured units are held against, product by product, and how many of a lot are tested. */
export const LIMITS = {
  ...group('Masonry units: strength', C90, {
    'unit.c90.mean': c90.mean,
    'unit.c90.each': c90.each,
    'unit.c90-2013.mean': older.mean,
    'unit.c90-2013.each': older.each,
    'unit.c90-2010.mean': older.mean,
    'unit.c90-2010.each': older.each,
    'unit.c129.mean': { ...c129.mean, source: standard('ASTM C129') },
    'unit.c129.each': { ...c129.each, source: standard('ASTM C129') },
    'unit.c55.mean': { ...c55.mean, source: standard('ASTM C55') },
    'unit.c55.each': { ...c55.each, source: standard('ASTM C55') },
    'unit.c1634.mean': { ...c1634.mean, source: standard('ASTM C1634') },
    'unit.c1634.each': { ...c1634.each, source: standard('ASTM C1634') },
    'unit.c73-sw.mean': { ...sw.mean, source: standard('ASTM C73') },
    'unit.c73-sw.each': { ...sw.each, source: standard('ASTM C73') },
    'unit.c73-mw.mean': { ...mw.mean, source: standard('ASTM C73') },
    'unit.c73-mw.each': { ...mw.each, source: standard('ASTM C73') },
    'unit.c936.mean': { ...c936.mean, source: C936 },
    'unit.c936.each': { ...c936.each, source: C936 },
    'unit.c1319.mean': { ...c1319.mean, source: standard('ASTM C1319') },
    'unit.c1319.each': { ...c1319.each, source: standard('ASTM C1319') },
    'unit.c1372.mean': { ...c1372.mean, source: C1372 },
    'unit.c1372.each': { ...c1372.each, source: C1372 },
    'unit.d6684.mean': { ...d6684.mean, source: standard('ASTM D6684') },
    'unit.d6684.each': { ...d6684.each, source: standard('ASTM D6684') },
  }),
  ...group('Masonry units: absorption', C90, {
    'unit.class-medium': r('Medium weight from a mean density of', '= 105 lb/ft3', '= 1680 kg/m3'),
    'unit.class-normal': r('Normal weight from a mean density of', '= 125 lb/ft3', '= 2000 kg/m3'),
    'unit.c90.light': absorption('C90 lightweight, mean', '18', '288'),
    'unit.c90.medium': absorption('C90 medium weight, mean', '15', '240'),
    'unit.c90.normal': absorption('C90 normal weight, mean', '13', '208'),
    'unit.c90.light-each': absorption('C90 lightweight, each', '20', '320'),
    'unit.c90.medium-each': absorption('C90 medium weight, each', '17', '272'),
    'unit.c90.normal-each': absorption('C90 normal weight, each', '15', '240'),
    'unit.c1372.light': { ...absorption('C1372 lightweight, mean', '18', '288'), source: C1372 },
    'unit.c1372.medium': { ...absorption('C1372 medium weight, mean', '15', '240'), source: C1372 },
    'unit.c1372.normal': { ...absorption('C1372 normal weight, mean', '13', '208'), source: C1372 },
    'unit.c55.light': { ...absorption('C55 lightweight, mean', '18', '288'), source: standard('ASTM C55') },
    'unit.c55.medium': {
      ...absorption('C55 medium weight, mean', '15', '240'),
      source: standard('ASTM C55'),
    },
    'unit.c55.normal': {
      ...absorption('C55 normal weight, mean', '13', '208'),
      source: standard('ASTM C55'),
    },
    'unit.c1634.light': {
      ...absorption('C1634 lightweight, mean', '15', '240'),
      source: standard('ASTM C1634'),
    },
    'unit.c1634.medium': {
      ...absorption('C1634 medium weight, mean', '13', '208'),
      source: standard('ASTM C1634'),
    },
    'unit.c1634.normal': {
      ...absorption('C1634 normal weight, mean', '10', '160'),
      source: standard('ASTM C1634'),
    },
    'unit.c73-sw.any': { ...absorption('C73 SW, mean', '15', '240'), source: standard('ASTM C73') },
    'unit.c73-mw.any': { ...absorption('C73 MW, mean', '18', '288'), source: standard('ASTM C73') },
    'unit.is2185.mass': r('IS 2185-1: absorption by mass, mean', '<= 10 %', standard('IS 2185-1')),
    'unit.c1319.any': { ...absorption('C1319, mean', '10', '160'), source: standard('ASTM C1319') },
    'unit.c1319.any-each': { ...absorption('C1319, each', '12', '192'), source: standard('ASTM C1319') },
    'unit.d6684.any': { ...absorption('D6684, mean', '9.1', '146'), source: standard('ASTM D6684') },
    'unit.d6684.any-each': { ...absorption('D6684, each', '11.7', '187'), source: standard('ASTM D6684') },
    'unit.c936.mass': r('C936: absorption by mass, mean', '<= 5 %', C936),
    'unit.c936.mass-each': r('C936: absorption by mass, each', '<= 7 %', C936),
  }),
  ...group('Masonry units: sizes', C90, {
    'unit.size': r('Overall dimension off the specified one', '<= 0.125 in', '<= 3.2 mm'),
    'unit.size-plan': r('C936: length or width off the specified one', '<= 0.0625 in', '<= 1.6 mm', C936),
    'unit.shell-4': r('Face shell, nominal width up to 4 in [100 mm]', '>= 0.75 in', '>= 19 mm'),
    'unit.shell-6': r('Face shell, nominal width 6 in [150 mm]', '>= 1 in', '>= 25 mm'),
    'unit.shell-8': r('Face shell, nominal width 8 in [200 mm] and more', '>= 1.25 in', '>= 32 mm'),
    'unit.width-6': r('Counts as a 6 in [150 mm] unit from a width of', '= 5 in', '= 127 mm', BETWEEN),
    'unit.width-8': r('Counts as an 8 in [200 mm] unit from a width of', '= 7 in', '= 178 mm', BETWEEN),
    'unit.width-10': r('Counts as a 10 in [250 mm] unit from a width of', '= 9 in', '= 229 mm', BETWEEN),
    'unit.width-12': r('Counts as a 12 in [300 mm] unit from a width of', '= 11 in', '= 280 mm', BETWEEN),
    'unit.web': r('Web at its least', '>= 0.75 in', '>= 19 mm'),
    'unit.shell-10-2010': r(
      'Up to 2010: face shell, 10 in; 1 1/4 in [32 mm] where the design load is reduced',
      '>= 1.375 in',
      '>= 35 mm',
    ),
    'unit.shell-12-2010': r(
      'Up to 2010: face shell, 12 in; 1 1/4 in [32 mm] where the design load is reduced',
      '>= 1.5 in',
      '>= 38 mm',
    ),
    'unit.web-4-2010': r('Up to 2010: web, 4 in', '>= 0.75 in', '>= 19 mm'),
    'unit.web-6-2010': r('Up to 2010: web, 6 in', '>= 1 in', '>= 25 mm'),
    'unit.web-8-2010': r('Up to 2010: web, 8 in', '>= 1 in', '>= 25 mm'),
    'unit.web-10-2010': r('Up to 2010: web, 10 in', '>= 1.125 in', '>= 29 mm'),
    'unit.web-12-2010': r('Up to 2010: web, 12 in and more', '>= 1.125 in', '>= 29 mm'),
    'unit.equivalent-4-2010': r(
      'Up to 2010: equivalent web thickness, 4 in',
      '>= 1.625 in/ft',
      '>= 136 mm/m',
    ),
    'unit.equivalent-6-2010': r('Up to 2010: equivalent web thickness, 6 in', '>= 2.25 in/ft', '>= 188 mm/m'),
    'unit.equivalent-8-2010': r('Up to 2010: equivalent web thickness, 8 in', '>= 2.25 in/ft', '>= 188 mm/m'),
    'unit.equivalent-10-2010': r(
      'Up to 2010: equivalent web thickness, 10 in',
      '>= 2.5 in/ft',
      '>= 209 mm/m',
    ),
    'unit.equivalent-12-2010': r(
      'Up to 2010: equivalent web thickness, 12 in and more',
      '>= 2.5 in/ft',
      '>= 209 mm/m',
    ),
    'unit.web-area': r('Normalised web area', '>= 6.5 in2/ft2', '>= 45140 mm2/m2'),
  }),
  ...group('Masonry units: fire resistance by equivalent thickness', standard('TMS 216.1'), {
    'unit.fire-gravel-1': r('1 h, siliceous or calcareous gravel', '>= 2.8 in', '>= 71 mm'),
    'unit.fire-gravel-2': r('2 h, siliceous or calcareous gravel', '>= 4.2 in', '>= 107 mm'),
    'unit.fire-gravel-3': r('3 h, siliceous or calcareous gravel', '>= 5.3 in', '>= 135 mm'),
    'unit.fire-gravel-4': r('4 h, siliceous or calcareous gravel', '>= 6.2 in', '>= 157 mm'),
    'unit.fire-limestone-1': r('1 h, limestone, cinders, air-cooled slag', '>= 2.7 in', '>= 69 mm'),
    'unit.fire-limestone-2': r('2 h, limestone, cinders, air-cooled slag', '>= 4.0 in', '>= 102 mm'),
    'unit.fire-limestone-3': r('3 h, limestone, cinders, air-cooled slag', '>= 5.0 in', '>= 127 mm'),
    'unit.fire-limestone-4': r('4 h, limestone, cinders, air-cooled slag', '>= 5.9 in', '>= 150 mm'),
    'unit.fire-expanded-1': r('1 h, expanded clay, shale or slate', '>= 2.6 in', '>= 66 mm'),
    'unit.fire-expanded-2': r('2 h, expanded clay, shale or slate', '>= 3.6 in', '>= 91 mm'),
    'unit.fire-expanded-3': r('3 h, expanded clay, shale or slate', '>= 4.4 in', '>= 112 mm'),
    'unit.fire-expanded-4': r('4 h, expanded clay, shale or slate', '>= 5.1 in', '>= 130 mm'),
    'unit.fire-pumice-1': r('1 h, expanded slag or pumice', '>= 2.1 in', '>= 53 mm'),
    'unit.fire-pumice-2': r('2 h, expanded slag or pumice', '>= 3.2 in', '>= 81 mm'),
    'unit.fire-pumice-3': r('3 h, expanded slag or pumice', '>= 4.0 in', '>= 102 mm'),
    'unit.fire-pumice-4': r('4 h, expanded slag or pumice', '>= 4.7 in', '>= 119 mm'),
  }),
  ...group('Masonry units: how many', standard('ASTM C140/C140M'), {
    'unit.set': r('Units of a set', '= 6'),
    'unit.lot-one': r('Lot up to which one set is taken', '= 10000'),
    'unit.lot-two': r('Lot up to which two sets are taken', '= 100000'),
    'unit.lot-each': r('Units of a larger lot for each of which a set is taken', '= 50000'),
    'unit.en771-3.count': r('EN: units of a set for strength', '= 6', standard('EN 771-3')),
    'unit.is2185.count': r('IS: units of a set for strength', '= 8', standard('IS 2185-1')),
    'unit.a165.count': r('CSA: units of a set for strength', '= 5', standard('CSA A165.1')),
    'unit.role-count': r('Units of a set for strength, and as many for absorption', '= 3'),
  }),
};
