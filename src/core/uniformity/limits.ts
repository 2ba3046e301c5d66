import { group, r } from '../limits/row';
import { ourChoice, standard } from '../working';

export const LIMITS = {
  ...group('Uniformity of a source', standard('ASTM C917'), {
    'uniformity.pairs': r(
      'Second tests on another day, from which the scatter of the laboratory is told',
      '>= 10',
    ),
    'uniformity.results': r('Results of a series for a formal report', '>= 40'),
    'uniformity.testing': r('Scatter of the laboratory that is corrected for as it is', '<= 4.0 %'),
    'uniformity.testing-most': r('Scatter of the laboratory beyond which nothing is corrected', '<= 5.5 %'),
  }),
  ...group('Charts of a source', ourChoice('usual settings of such charts, which a laboratory may change'), {
    'uniformity.baseline': r('Results that make the baseline of a series', '= 15'),
    'uniformity.sheets': r('Sheets of a plant that make the baseline of what they say', '= 6'),
    'uniformity.lambda': r('Share of the newest result in the weighted mean', '= 0.2'),
    'uniformity.weighted': r('Limit of the weighted mean, deviations', '= 2.7'),
    'uniformity.slack': r('Slack of the sums, deviations', '= 0.5'),
    'uniformity.sum-look': r('A sum that is looked at, deviations', '<= 4'),
    'uniformity.sum': r('A sum that signals, deviations', '<= 5'),
  }),
};
