'use client';
import { useTheme } from '@mui/material';
import type { BenchProps } from '../kit';
import { WeatherMap } from './WeatherMap';

/** The rate on a scale with the two limits, and what drives it. */
export function EvaporationBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { rate, caution, protect, air, concrete, humidity, wind, unit, system } = picture.values;
  const most = Number(protect) * 1.75;
  const x = (value: number): number => 20 + (Math.min(Math.max(value, 0), most) / most) * 360;
  const degree = system === 'US' ? '°F' : '°C';
  const speed = system === 'US' ? 'mph' : 'km/h';
  const weather = [concrete, air, humidity, wind].map((value) =>
    value === null ? Number.NaN : Number(value),
  );
  const known = weather.every((value) => !Number.isNaN(value));
  return (
    <>
      <svg
        viewBox="0 0 400 130"
        width="100%"
        height="130"
        role="img"
        aria-label={
          rate === null
            ? 'Evaporation rate not known yet'
            : `Evaporation rate ${Number(rate).toFixed(2)} ${unit}`
        }
      >
        <rect x="20" y="46" width={x(Number(caution)) - 20} height="18" fill={palette.success.light} />
        <rect
          x={x(Number(caution))}
          y="46"
          width={x(Number(protect)) - x(Number(caution))}
          height="18"
          fill={palette.warning.light}
        />
        <rect
          x={x(Number(protect))}
          y="46"
          width={380 - x(Number(protect))}
          height="18"
          fill={palette.error.light}
        />
        {[
          [Number(caution), 'caution'],
          [Number(protect), 'protect'],
        ].map(([value, word]) => (
          <text
            key={word}
            x={x(Number(value))}
            y="82"
            fontSize="12"
            textAnchor="middle"
            fill={palette.text.secondary}
          >
            {`${word} ${value}`}
          </text>
        ))}
        {rate === null ? null : (
          <g>
            <path d={`M${x(Number(rate))} 44l-8 -13h16z`} fill={palette.primary.main} />
            <text
              x={Math.min(Math.max(x(Number(rate)), 60), 340)}
              y="24"
              fontSize="18"
              fontWeight="700"
              textAnchor="middle"
              fill={palette.primary.main}
            >
              {`${Number(rate).toFixed(2)} ${unit}`}
            </text>
            <text x="20" y="112" fontSize="13" fill={palette.text.primary}>
              {`concrete ${concrete} ${degree}, air ${air} ${degree}, ${Number(humidity)} % RH, wind ${Number(wind).toFixed(1)} ${speed}`}
            </text>
          </g>
        )}
      </svg>
      {known ? (
        <WeatherMap
          // Another reading is another map.
          key={weather.join()}
          system={system === 'SI' ? 'SI' : 'US'}
          caution={Number(caution)}
          protect={Number(protect)}
          weather={{
            concrete: weather[0] ?? 0,
            air: weather[1] ?? 0,
            humidity: weather[2] ?? 0,
            wind: weather[3] ?? 0,
          }}
        />
      ) : null}
    </>
  );
}
