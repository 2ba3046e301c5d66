import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Plastic sheet', standard('ASTM D4263'), {
    'sheet.time': r('Sheet taped on before it is peeled', '>= 16 h'),
    'sheet.count-area': r('Area with a sheet of its own, and each further one', '= 500 ft2', '= 46 m2'),
    'sheet.rise': r('Height of a wall with a sheet of its own, and each further one', '= 10 ft', '= 3 m'),
    'sheet.step': r('Moisture under a sheet, seen (1) or not (0)', '= 1'),
    'sheet.seen': r('Sheets with moisture under them', '<= 0'),
  }),
  ...group('Plastic sheet', ourChoice('what a sheet of its temperature can show'), {
    'sheet.could': r('Humidity from which this sheet shows drops, to be able to', '<= 100 %'),
    'sheet.cold': r('Humidity from which it shows drops, not from its cold alone', '>= 80 %'),
    'sheet.could-step': r('That humidity told to', '= 0.1 %'),
  }),
};
