/** Indices, °C·h, at which the cylinders of a calibration broke: after 1, 3, 7, 14 and 28 days. */
export const INDEX = [588, 1692, 3912, 7776, 15_516];

/** Their strengths, psi, two of each age; made up, their fits worked outside (common practice, no source). */
export const PAIRS: readonly (readonly number[])[] = [
  [1180, 1240],
  [2480, 2400],
  [3390, 3510],
  [4130, 4250],
  [4790, 4690],
];
