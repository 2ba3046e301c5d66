import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

const C216 = standard('ASTM C216');
const C902 = standard('ASTM C902');
const C67 = standard('ASTM C67/C67M');

const psi = (name: string, us: string, si: string) => r(name, `>= ${us} psi`, `>= ${si} MPa`);
const tight = (over: string, us: string, si: string) =>
  r(`FBX: off a dimension ${over}`, `<= ${us} in`, `<= ${si} mm`);
const usual = (over: string, us: string, si: string) =>
  r(`FBS: off a dimension ${over}`, `<= ${us} in`, `<= ${si} mm`);

/** What clay brick is held against, grade by grade. */
export const LIMITS = {
  ...group('Clay brick: grades of C216, C62, C652', C216, {
    'brick.sw.mean': psi('SW: mean strength', '3000', '20.7'),
    'brick.sw.each': psi('SW: strength of each', '2500', '17.2'),
    'brick.sw.boil': r('SW: mean absorption by boiling', '<= 17.0 %'),
    'brick.sw.boil-each': r('SW: absorption by boiling of each', '<= 20.0 %'),
    'brick.sw.sat': r('SW: mean saturation coefficient', '<= 0.78'),
    'brick.sw.sat-each': r('SW: saturation coefficient of each', '<= 0.80'),
    'brick.mw.mean': psi('MW: mean strength', '2500', '17.2'),
    'brick.mw.each': psi('MW: strength of each', '2200', '15.2'),
    'brick.mw.boil': r('MW: mean absorption by boiling', '<= 22.0 %'),
    'brick.mw.boil-each': r('MW: absorption by boiling of each', '<= 25.0 %'),
    'brick.mw.sat': r('MW: mean saturation coefficient', '<= 0.88'),
    'brick.mw.sat-each': r('MW: saturation coefficient of each', '<= 0.90'),
    'brick.nw.mean': { ...psi('NW: mean strength', '1500', '10.3'), source: standard('ASTM C62') },
    'brick.nw.each': { ...psi('NW: strength of each', '1250', '8.6'), source: standard('ASTM C62') },
    'brick.cold-alternate': r(
      'Absorption alternate: cold absorption of each, up to which saturation need not be met',
      '<= 8.0 %',
    ),
    'brick.weathering': r('Low weathering: index of the place below', '<= 49'),
    'brick.freeze-loss': r('Freezing alternate: loss of mass of each', '<= 0.5 %', C67),
    'brick.solid': r('Voids of a solid brick', '<= 25 %'),
  }),
  ...group('Clay brick: classes of C902', C902, {
    'brick.sx.mean': psi('SX: mean strength', '8000', '55.2'),
    'brick.sx.each': psi('SX: strength of each', '7000', '48.3'),
    'brick.sx.cold': r('SX: mean cold absorption', '<= 8.0 %'),
    'brick.sx.cold-each': r('SX: cold absorption of each', '<= 11.0 %'),
    'brick.sx.sat': r('SX: mean saturation coefficient', '<= 0.78'),
    'brick.sx.sat-each': r('SX: saturation coefficient of each', '<= 0.80'),
    'brick.mx.mean': psi('MX: mean strength', '3000', '20.7'),
    'brick.mx.each': psi('MX: strength of each', '2500', '17.2'),
    'brick.mx.cold': r('MX: mean cold absorption', '<= 14.0 %'),
    'brick.mx.cold-each': r('MX: cold absorption of each', '<= 17.0 %'),
    'brick.nx.mean': psi('NX: mean strength', '3000', '20.7'),
    'brick.nx.each': psi('NX: strength of each', '2500', '17.2'),
    'brick.wear-1': r('Type I: abrasion index', '<= 0.11'),
    'brick.wear-2': r('Type II: abrasion index', '<= 0.25'),
    'brick.wear-3': r('Type III: abrasion index', '<= 0.50'),
    'brick.wear-step': r('Abrasion index reported to', '= 0.01', ourChoice('as its limits are written')),
  }),
  ...group('Clay brick: types of C1272', standard('ASTM C1272'), {
    'brick.f.mean': psi('F: mean strength', '10000', '69.0'),
    'brick.f.each': psi('F: strength of each', '8800', '60.7'),
    'brick.f.cold': r('F: mean cold absorption', '<= 6.0 %'),
    'brick.f.cold-each': r('F: cold absorption of each', '<= 7.0 %'),
    'brick.r.mean': psi('R: mean strength', '8000', '55.2'),
    'brick.r.each': psi('R: strength of each', '7000', '48.3'),
    'brick.r.cold': r('R: mean cold absorption', '<= 6.0 %'),
    'brick.r.cold-each': r('R: cold absorption of each', '<= 7.0 %'),
  }),
  ...group('Clay brick: EN 771-1 and IS 1077', standard('IS 1077'), {
    'brick.en771-1.count': r('EN: bricks of a set for strength', '= 10', standard('EN 772-1')),
    'brick.is1077.class': r('IS: classes with the wider absorption, up to', '<= 12.5 MPa'),
    'brick.is1077.cold': r('IS: mean cold absorption up to that class', '<= 20 %'),
    'brick.is1077.cold-above': r('IS: mean cold absorption of higher classes', '<= 15 %'),
  }),
  ...group('Clay brick: sizes', C216, {
    'brick.fbx-3': tight('up to 3 in [75 mm]', '0.0625', '1.6'),
    'brick.fbx-4': tight('up to 4 in [100 mm]', '0.09375', '2.4'),
    'brick.fbx-6': tight('up to 6 in [150 mm]', '0.125', '3.2'),
    'brick.fbx-8': tight('up to 8 in [200 mm]', '0.15625', '4.0'),
    'brick.fbx-12': tight('up to 12 in [300 mm]', '0.21875', '5.6'),
    'brick.fbx-16': tight('up to 16 in [400 mm]', '0.28125', '7.1'),
    'brick.fbs-3': usual('up to 3 in [75 mm]', '0.09375', '2.4'),
    'brick.fbs-4': usual('up to 4 in [100 mm]', '0.125', '3.2'),
    'brick.fbs-6': usual('up to 6 in [150 mm]', '0.1875', '4.8'),
    'brick.fbs-8': usual('up to 8 in [200 mm]', '0.25', '6.4'),
    'brick.fbs-12': usual('up to 12 in [300 mm]', '0.3125', '7.9'),
    'brick.fbs-16': usual('up to 16 in [400 mm]', '0.375', '9.5'),
    'brick.warp-fbx-8': r('FBX: warpage of a face up to 8 in [200 mm]', '<= 0.0625 in', '<= 1.6 mm'),
    'brick.warp-fbx-12': r('FBX: warpage of a face up to 12 in [300 mm]', '<= 0.09375 in', '<= 2.4 mm'),
    'brick.warp-fbx-16': r('FBX: warpage of a face up to 16 in [400 mm]', '<= 0.125 in', '<= 3.2 mm'),
    'brick.warp-fbs-8': r('FBS: warpage of a face up to 8 in [200 mm]', '<= 0.09375 in', '<= 2.4 mm'),
    'brick.warp-fbs-12': r('FBS: warpage of a face up to 12 in [300 mm]', '<= 0.125 in', '<= 3.2 mm'),
    'brick.warp-fbs-16': r('FBS: warpage of a face up to 16 in [400 mm]', '<= 0.15625 in', '<= 4.0 mm'),
    'brick.to-3': r('Dimension that counts as up to 3 in', '= 3 in', '= 75 mm'),
    'brick.to-4': r('Dimension that counts as up to 4 in', '= 4 in', '= 100 mm'),
    'brick.to-6': r('Dimension that counts as up to 6 in', '= 6 in', '= 150 mm'),
    'brick.to-8': r('Dimension that counts as up to 8 in', '= 8 in', '= 200 mm'),
    'brick.to-12': r('Dimension that counts as up to 12 in', '= 12 in', '= 300 mm'),
  }),
  ...group('Clay brick: how many', C67, {
    'brick.lot': r('Bricks of a lot for which ten are taken', '= 1000000'),
    'brick.lot-more': r('Bricks beyond that for which five more are taken', '= 500000'),
    'brick.set': r('Bricks of a sample', '= 10'),
    'brick.more': r('More of a larger lot', '= 5'),
    'brick.role-count': r('Bricks of a sample that are halved, broken and soaked', '= 5'),
  }),
};
