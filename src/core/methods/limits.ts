import { group, r } from '../limits/row';
import { commonPractice, ourChoice, standard } from '../working';

const C1077 = standard('ASTM C1077');

export const LIMITS = {
  ...group('Testing machine', commonPractice, {
    'equipment.pack': r(
      'Months that the certificate of a pack of sensors holds, its maker silent',
      '<= 24',
      ourChoice('a sensor that is used once is not calibrated again: what its maker states counts'),
    ),
    'equipment.yearly': r('Months between checks of callipers, thermometers and slump moulds', '<= 12'),
  }),
  ...group('Laboratory', ourChoice('the hours of the house, for what must not end while nobody is there'), {
    'lab.opens': r('The laboratory opens, hours after midnight', '= 7.5'),
    'lab.closes': r('The laboratory closes, hours after midnight', '= 16.5'),
  }),
  ...group('Made ready together', ourChoice('units of one lot take up and lose alike'), {
    'batch.exchanged': r('Gain or loss on the received mass, within a set', '<= 0.5 %'),
  }),
  ...group('People and gear', C1077, {
    'people.certified': r('Years a field technician’s certificate holds', '<= 5'),
    'stamps.typed': r(
      'Between a stamp’s time and its entry, after which it counts as typed',
      '<= 60 s',
      ourChoice('a press is entered when it is made'),
    ),
    'stamps.device-clock': r(
      'A device’s clock from the server’s, after which it is put right',
      '<= 10 s',
      ourChoice('shorter than the shortest warning of a clock'),
    ),
  }),
};
