import { group, r } from '../../limits/row';
import { commonPractice, standard } from '../../working';

const C173 = standard('ASTM C173/C173M');

export const LIMITS = {
  ...group('Air, volumetric method', C173, {
    'air-volumetric.step': r('Air read and reported to', '= 0.25 %'),
    'air-volumetric.inverted': r('Upside down at once', '<= 5 s'),
    'air-volumetric.shake': r('Inverted and shaken in all, until the aggregate is loose', '>= 45 s'),
    'air-volumetric.roll': r('Each rolling', '>= 60 s'),
    'air-volumetric.stable': r('Change over the last two minutes', '<= 0.25 %'),
    'air-volumetric.stable-time': r('Standing until stable', '120 to 360 s'),
    'air-volumetric.agree': r('Two readings with a rolling between them agree within', '<= 0.25 %'),
    'air-volumetric.foam': r('Foam above the liquid, full divisions', '<= 2 %'),
    'air-volumetric.water-first': r('Water in before the alcohol', '>= 1 pt', '>= 0.5 L'),
    'air-volumetric.alcohol': r('Alcohol the table covers', '0.5 to 5 pt', '0.2 to 2.4 L'),
    'air-volumetric.no-correction': r('Alcohol below which there is no correction, pints', '= 2.5'),
    'air-volumetric.correction-2': r('Correction at 2 pints of alcohol', '= 0 %'),
    'air-volumetric.correction-3': r('Correction at 3 pints of alcohol', '= 0.3 %'),
    'air-volumetric.correction-4': r('Correction at 4 pints of alcohol', '= 0.6 %'),
    'air-volumetric.correction-5': r('Correction at 5 pints of alcohol', '= 0.9 %'),
    'air-volumetric.scale': r('Scale of the neck ends at', '= 9 %'),
    'air-volumetric.aggregate': r('Largest aggregate without wet-sieving', '<= 1.5 in', '<= 37.5 mm'),
    'air-volumetric.cup': r('Calibrated cup, of the bowl', '0.96 to 1.04 %'),
  }),
  ...group('Agency, strict: rows that differ', commonPractice, {
    'agency/air-volumetric.step': r('Air read and reported to, volumetric, alcohol after rolling', '= 0.5 %'),
  }),
};
