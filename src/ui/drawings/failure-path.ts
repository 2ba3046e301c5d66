/** A core as it is drawn. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly wide: number;
  readonly high: number;
}

/**
 * Cracks over a core, as the path of a drawing.
 * @param failure how it failed, by the value of the reading; nothing is drawn for one that has no picture
 * @param angle of a single plane to the axis, degrees, where it was measured
 */
export function failurePath(
  failure: string,
  { left, top, wide, high }: Box,
  angle: number | null = null,
): string | null {
  const x = (share: number): string => (left + share * wide).toFixed(1);
  const y = (share: number): string => (top + share * high).toFixed(1);
  if (failure === 'splitting')
    return [0.25, 0.5, 0.72]
      .map((at) => `M${x(at)} ${y(0)}L${x(at + 0.05)} ${y(0.5)}L${x(at - 0.02)} ${y(1)}`)
      .join('');
  if (failure === 'shear') {
    // A plane that is steeper than the core is slender leaves by its ends.
    const rise = Math.min(high, wide / Math.tan(((angle ?? 30) * Math.PI) / 180 || 0.01));
    const from = top + (high - rise) / 2;
    return `M${x(0)} ${(from + rise).toFixed(1)}L${x(1)} ${from.toFixed(1)}`;
  }
  if (failure === 'cone')
    return `M${x(0)} ${y(0)}L${x(0.5)} ${y(0.42)}L${x(1)} ${y(0)}M${x(0)} ${y(1)}L${x(0.5)} ${y(0.58)}L${x(1)} ${y(1)}`;
  if (failure === 'multiple')
    return `M${x(0.2)} ${y(0)}L${x(0.35)} ${y(0.45)}L${x(0.1)} ${y(1)}M${x(0.7)} ${y(0)}L${x(0.5)} ${y(0.5)}L${x(0.85)} ${y(1)}M${x(0)} ${y(0.6)}L${x(1)} ${y(0.3)}`;
  if (failure === 'fabric')
    return [0.2, 0.4, 0.6].map((at) => `M${x(0)} ${y(at + 0.2)}L${x(1)} ${y(at)}`).join('');
  if (failure === 'joint')
    return `M${x(0)} ${y(0.75)}L${x(0.3)} ${y(0.6)}L${x(0.6)} ${y(0.55)}L${x(1)} ${y(0.25)}`;
  if (failure === 'spall') return `M${x(0.6)} ${y(0)}L${x(0.72)} ${y(0.18)}L${x(1)} ${y(0.28)}`;
  return null;
}
