'use client';
import { useTheme } from '@mui/material';

/** A cube as it stands in a machine for beams: on a pedestal on the lower block, its cast face to the side. */
export function CubeOnPedestal() {
  const { palette } = useTheme();
  const ink = palette.text.primary;
  const words = { fontSize: 12, fill: palette.text.secondary };
  return (
    <svg
      viewBox="0 0 330 190"
      width="100%"
      style={{ maxWidth: 330 }}
      role="img"
      aria-label="A cube on its pedestal: lower block, pedestal, cube with its cast face to the side, upper plate on its ball"
    >
      <rect x="20" y="164" width="150" height="18" fill={palette.divider} stroke={ink} />
      <path d="M70 164V128H120V164z" fill={palette.divider} stroke={ink} />
      <rect x="66" y="120" width="58" height="8" fill={ink} />
      <rect
        x="70"
        y="70"
        width="50"
        height="50"
        fill={palette.background.paper}
        stroke={ink}
        strokeWidth={2}
      />
      <path d="M120 70V120" stroke={palette.warning.main} strokeWidth={5} />
      <rect x="62" y="60" width="66" height="9" fill={ink} />
      <path d="M72 60a23 17 0 0 1 46 0z" fill={palette.divider} stroke={ink} />
      <path d="M95 14v26m-7 -9l7 9 7 -9" fill="none" stroke={ink} strokeWidth={2.5} />
      {[
        [50, 'upper plate, free on its ball'],
        [98, 'cast face to the side'],
        [148, 'pedestal, ground, centred'],
        [177, 'lower block, never the bed'],
      ].map(([y, text]) => (
        <text key={text} x="182" y={y} {...words}>
          {text}
        </text>
      ))}
    </svg>
  );
}
