import { group, r } from '../../limits/row';
import { ourChoice, standard } from '../../working';

export const LIMITS = {
  ...group('Carbide', standard('DIN 18560'), {
    'floor.carbide-cement': r('Carbide, cement screed', '<= 2.0 %'),
    'floor.carbide-cement-heated': r('Carbide, cement screed that is heated', '<= 1.8 %'),
    'floor.carbide-sulfate': r('Carbide, calcium sulfate screed', '<= 0.5 %'),
    'floor.carbide-sulfate-heated': r('Carbide, calcium sulfate screed that is heated', '<= 0.3 %'),
    'carbide.mass': r('Portion off its mass', '<= 0.1 g'),
    'carbide.balance': r('Portion weighed to', '= 0.1 g'),
  }),
  ...group('Carbide', ourChoice('when the gauge is read, and to what'), {
    'carbide.time': r('Bottle closed before its gauge is read', '10 to 15 min'),
    'carbide.step': r('Carbide moisture reported to', '= 0.1 %'),
  }),
};
