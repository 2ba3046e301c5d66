import type { Said, Stored } from '../../material/contract';
import { measureWords } from '../../material/measure-words';
import { ageText } from '../../windows/duration-text';
import type { ConcreteAsked } from './record';

/** What is asked of a concrete, in short. */
export function summary(stored: Stored): Said[] {
  const asked = stored as unknown as ConcreteAsked;
  return [
    [
      'Specified',
      asked.specifiedStrength ? `${measureWords(asked.specifiedStrength)} at ${ageText(asked.ageHours)}` : '',
    ],
    [
      'Flexural',
      asked.flexuralStrength
        ? `${measureWords(asked.flexuralStrength)} at ${ageText(asked.flexuralHours ?? asked.ageHours)}${asked.flexuralLoading === 'centre' ? ', loaded in the middle' : ''}`
        : '',
    ],
    ['Opening', asked.openingStrength ? measureWords(asked.openingStrength) : ''],
    ['Slump', slumpWords(asked)],
    [
      'Temperature',
      asked.temperatureMaximum ? `up to ${measureWords(asked.temperatureMaximum)}` : 'not specified',
    ],
    ['Air', asked.air ? measureWords(asked.air) : asked.exposure ? `for ${asked.exposure}` : ''],
    ['w/cm', asked.waterRatio ?? ''],
  ];
}

function slumpWords({ slump, slumpKind, slumpFlow, slumpClass }: ConcreteAsked): string {
  if (slump) return `${slumpKind} ${measureWords(slump)}`;
  if (slumpFlow) return `flow ${measureWords(slumpFlow)}`;
  return slumpClass ? `class ${slumpClass}` : 'not specified';
}
