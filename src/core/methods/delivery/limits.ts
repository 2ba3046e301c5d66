import { group, r } from '../../limits/row';
import { commonPractice, ourChoice, standard } from '../../working';

const C94 = standard('ASTM C94/C94M');
const BS_8500 = standard('BS 8500');
const IS_4926 = standard('IS 4926');

export const LIMITS = {
  ...group('Ticket and discharge', C94, {
    'delivery.discharge': r('Discharge complete after batching', '<= 90 min'),
    'delivery.ratio-usual': r(
      'Water-cementitious ratio that a load can have',
      '0.2 to 1.2',
      ourChoice('what can be, whatever went wrong'),
    ),
    'delivery.ticket-usual': r(
      'Water a ticket leaves for the site, of the water batched',
      '<= 35 %',
      ourChoice('what can be, whatever went wrong'),
    ),
    'delivery.slump-window': r('Producer answers for the slump after arrival or adjustment', '<= 30 min'),
    'delivery.remix-turns': r('Turns at mixing speed after water or admixture', '>= 30'),
    'delivery.mixing-turns': r('Turns of the first mixing in the truck', '70 to 100'),
    'delivery.total-turns': r(
      'Turns in all; dropped from the recent text, still in many specifications',
      '<= 300',
    ),
    'delivery.free-moisture': r(
      'Aggregate moisture that can be believed',
      '<= 15 %',
      ourChoice('more is a typing slip'),
    ),
    'delivery.gallon': r('Mass of a gallon [litre] of water', '= 8.345 lb', '= 1 kg', commonPractice),
    'delivery.water-step': r(
      'Permitted water rounded down to',
      '= 0.5 gal',
      '= 1 L',
      ourChoice('what a gauge can tell'),
    ),
    'delivery.cement-mass': r('Cementitious mass against the mix design', '± 1 %'),
    'delivery.water-mass': r('Batched water against the mix design', '± 3 %'),
    'delivery.slump-water': r(
      'Water in a cubic yard [metre] that raises the slump by 1 in [25 mm]; display only',
      '= 10 lb/yd3',
      '= 6 kg/m3',
      commonPractice,
    ),
    'delivery.drum-mixed': r('Concrete in the drum, of its gross volume, mixed in the truck', '<= 63 %'),
    'delivery.drum-agitated': r('Concrete in the drum, of its gross volume, only agitated', '<= 80 %'),
    'delivery.aggregate-mass': r('Batched aggregates against the mix design', '± 2 %'),
    'delivery.admixture-mass': r('Batched admixtures against the mix design', '± 3 %'),
    'delivery.wc-step': r('Water-cementitious ratio reported to', '= 0.01', commonPractice),
    'delivery.travel': r(
      'Travel that can be believed, batching to arrival',
      '3 to 90 min',
      ourChoice('outside, look at the ticket again'),
    ),
  }),
  ...group('EN: rows that differ', BS_8500, {
    'en/delivery.discharge': r('Discharge complete after batching', '<= 120 min'),
  }),
  ...group('IS: rows that differ', IS_4926, {
    'is/delivery.discharge': r('Discharge complete after batching', '<= 120 min'),
  }),
};
