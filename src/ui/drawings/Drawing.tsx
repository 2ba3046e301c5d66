'use client';
import { useTheme } from '@mui/material';
import type { DrawingId } from '@/core/methods';
import { failurePath } from './failure-path';

interface Shape {
  /** What is looked at. */
  readonly body: string;
  /** The line that says what to look at: the cone as it stood, the plane it slid on, the crack. */
  readonly mark: string;
  /** What it stands on, or what it is held between. */
  readonly on: 'ground' | 'points' | 'platens';
}

const LUMP = 'M14 22L26 10L54 9L68 20L70 40L56 52L24 53L11 42Z';
const crack = (mark: string): Shape => ({ body: LUMP, mark, on: 'points' });
const core = (failure: string): Shape => ({
  body: 'M29 6H51V56H29Z',
  mark: failurePath(failure, { left: 29, top: 6, wide: 22, high: 50 }) ?? '',
  on: 'platens',
});

/**
 * Bodies of concrete after the lift: settled evenly, slid off, spread out; and pieces of rock after the points met no
 * more resistance. All are drawn from their descriptions.
 */
const SHAPES: Readonly<Record<DrawingId, Shape>> = {
  'slump-true': {
    body: 'M10 58Q16 36 26 26Q40 21 54 26Q64 36 70 58Z',
    mark: 'M14 58L28 6H52L66 58',
    on: 'ground',
  },
  'slump-shear': {
    body: 'M10 58Q16 34 26 22L40 20L44 34L62 40Q72 50 74 58Z',
    mark: 'M24 16L64 44',
    on: 'ground',
  },
  'slump-collapse': {
    body: 'M2 58Q6 49 22 46Q40 42 58 46Q74 49 78 58Z',
    mark: 'M14 58L28 6H52L66 58',
    on: 'ground',
  },
  'point-through': crack('M40 10L42 22L39 36L40 52'),
  'point-three': crack('M40 10L41 31L40 52M41 31L16 38M41 31L68 30'),
  'point-leaning': crack('M40 10L34 20L45 38L40 52'),
  'point-one': crack('M40 10L46 24L69 32'),
  'point-chip': crack('M40 10L33 14L27 10'),
  'point-old': crack('M12 34L30 30L50 32L70 28M12 37L30 33L50 35L70 31'),
  'point-off': crack('M14 24H68M12 33H70M14 43H66M40 10L44 24L36 33L52 44L56 52'),
  'point-sank': crack('M36 10L40 20L44 10M36 52L40 42L44 52'),
  'rock-splitting': core('splitting'),
  'rock-shear': core('shear'),
  'rock-cone': core('cone'),
  'rock-multiple': core('multiple'),
  'rock-fabric': core('fabric'),
  'rock-joint': core('joint'),
  'rock-spall': core('spall'),
};

/** A small drawing beside an answer that is judged by eye. */
export function Drawing({ id }: { id: DrawingId }) {
  const { palette } = useTheme();
  const { body, mark, on } = SHAPES[id];
  const held = on !== 'ground';
  return (
    <svg width="80" height="62" viewBox="0 0 80 62" aria-hidden="true">
      {held ? null : <path d={mark} fill="none" stroke={palette.text.secondary} strokeDasharray="3 3" />}
      <path d={body} fill={palette.divider} stroke={palette.text.primary} strokeWidth="1.5" />
      {held ? (
        <>
          <path
            d={on === 'points' ? 'M34 0H46L40 10ZM34 62H46L40 52Z' : 'M14 0H66V6H14ZM14 56H66V62H14Z'}
            fill={palette.text.primary}
          />
          <path d={mark} fill="none" stroke={palette.error.main} strokeWidth="2" />
        </>
      ) : (
        <line x1="0" x2="80" y1="58.5" y2="58.5" stroke={palette.text.primary} strokeWidth="2" />
      )}
    </svg>
  );
}
