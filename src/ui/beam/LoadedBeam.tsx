'use client';
import { useTheme } from '@mui/material';
import type { LoadMeans } from '@/core/statics';
import { DIAGRAMS_HEIGHT, Diagrams } from './Diagrams';

const [WIDTH, LEFT, RIGHT, TOP, HIGH] = [640, 60, 500, 92, 38];

/** A beam under what is on the machine, and below it shear and moment with their largest values. */
export function LoadedBeam({
  own,
  words,
}: {
  readonly own: LoadMeans;
  readonly words: { readonly moment: string; readonly shear: string };
}) {
  const { palette } = useTheme();
  const { beam, attachment, title } = own;
  const x = (place: number): number => LEFT + (place / beam.span) * (RIGHT - LEFT);
  const ink = palette.text.primary;
  const plate = attachment === 'plate' || attachment === 'bedded';
  const ends = beam.loads.flatMap((load) => (load.kind === 'point' ? [load.at] : [load.from, load.to]));
  const [from, to] = [x(Math.min(...ends)), x(Math.max(...ends))];
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${TOP + HIGH + 40 + DIAGRAMS_HEIGHT}`}
      width="100%"
      style={{ maxWidth: 720 }}
      role="img"
      aria-label={`${title}: ${words.moment}, ${words.shear}`}
    >
      <path d={`M${(from + to) / 2} 4v22m-7 -9l7 9 7 -9`} fill="none" stroke={ink} strokeWidth={2.5} />
      {plate ? <rect x={from} y={32} width={to - from} height={14} fill={ink} /> : null}
      {attachment === 'third' ? <path d={`M${from} 32H${to}v10H${from}z`} fill={ink} /> : null}
      {attachment === 'bedded' ? (
        <rect x={from} y={46} width={to - from} height={TOP - 46} fill={palette.warning.main} opacity={0.5} />
      ) : null}
      {beam.loads.map((load) =>
        load.kind === 'point' ? (
          <g key={`p${load.at}`}>
            <path
              d={`M${x(load.at)} ${attachment === 'plate' ? 46 : 30}V${TOP - 12}`}
              stroke={ink}
              strokeWidth={attachment === 'plate' ? 3 : 7}
            />
            <path d={`M${x(load.at)} ${TOP - 1}l-7 -12h14z`} fill={palette.primary.main} />
          </g>
        ) : (
          <g key={`s${load.from}`}>
            {Array.from({ length: 11 }, (_, index) =>
              x(load.from + ((load.to - load.from) * index) / 10),
            ).map((px) => (
              <path
                key={px}
                d={`M${px} ${attachment === 'spread' ? 34 : 62}V${TOP - 2}m-4 -7l4 7 4 -7`}
                fill="none"
                stroke={palette.primary.main}
                strokeWidth={1.6}
              />
            ))}
          </g>
        ),
      )}
      <rect
        x={LEFT - 22}
        y={TOP}
        width={RIGHT - LEFT + 44}
        height={HIGH}
        fill={palette.divider}
        stroke={ink}
      />
      {[LEFT, RIGHT].map((px) => (
        <path key={px} d={`M${px} ${TOP + HIGH}l-10 16h20z`} fill={ink} />
      ))}
      <Diagrams beam={beam} from={LEFT} to={RIGHT} top={TOP + HIGH + 26} words={words} />
    </svg>
  );
}
