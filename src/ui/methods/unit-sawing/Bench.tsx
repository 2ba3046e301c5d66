'use client';
import { Box, Typography, useTheme } from '@mui/material';
import type { BenchProps } from '../kit';

const [WIDE, LEFT] = [300, 8];

/** The unit from the front and from above, to scale, with what is sawn off or out of it. */
export function UnitSawingBench({ picture }: BenchProps) {
  const { palette } = useTheme();
  const { values } = picture;
  const number = (name: string): number => Number(values[name]) || 0;
  const [length, height, width] = [number('length'), number('height'), number('width')];
  if (!length || !height || !width)
    return (
      <Typography color="text.secondary">
        Its specified length, height and width are not known: they stand with its specification.
      </Typography>
    );
  const scale = WIDE / length;
  const [long, high, wide] = [length * scale, height * scale, width * scale];
  const shell = number('shell') * scale;
  const ear = number('projection') * scale;
  const recess = number('recess') * scale;
  const coupon = { long: number('long') * scale, high: number('high') * scale };
  const { what } = values;
  const cut = palette.primary.main;
  const top = 26;
  const above = top + high + 30;
  const cell = (long - 3 * shell) / 2;
  const solid = { fill: palette.divider, stroke: palette.text.primary, strokeWidth: 1.5 };
  const off = { fill: palette.error.main, opacity: 0.35 };
  const fifth = LEFT + long * 0.8;
  const inUnit = coupon.long > 0 && coupon.long < long && coupon.high < high;
  const ears = what === 'projections' || what === 'both';
  const lowered = what === 'shells' || what === 'both';
  return (
    <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-start' }}>
      <svg
        viewBox={`0 0 ${WIDE + 2 * LEFT} ${above + wide + 8}`}
        width="100%"
        style={{ maxWidth: 380 }}
        role="img"
        aria-label="The unit from the front and from above, with what is sawn"
      >
        <text x={LEFT} y={16} fontSize={12} fill={palette.text.primary}>
          From the front
        </text>
        <rect x={LEFT} y={top} width={long} height={high} {...solid} />
        {recess > 0 ? (
          <rect
            x={LEFT}
            y={top}
            width={long}
            height={recess}
            {...(lowered ? off : { fill: 'none', stroke: palette.text.secondary, strokeDasharray: '4 3' })}
          />
        ) : null}
        {ear > 0
          ? [LEFT, LEFT + long - ear].map((x) => (
              <rect
                key={x}
                x={x}
                y={top}
                width={ear}
                height={high}
                {...(ears ? off : { fill: 'none', stroke: palette.text.secondary, strokeDasharray: '4 3' })}
              />
            ))
          : null}
        {what === 'cells' ? (
          <rect
            x={LEFT}
            y={top}
            width={cell + 2 * shell}
            height={high}
            fill="none"
            stroke={cut}
            strokeWidth={3}
          />
        ) : null}
        <path d={`M${fifth} ${top}V${top + high}`} stroke={palette.text.secondary} strokeDasharray="2 4" />
        <text x={fifth + 4} y={top + high - 6} fontSize={11} fill={palette.text.secondary}>
          a fifth
        </text>
        {inUnit ? (
          <>
            <rect
              x={LEFT + long * 0.12}
              y={top + high - coupon.high - 6}
              width={coupon.long}
              height={coupon.high}
              fill={what === 'coupon' ? cut : 'none'}
              fillOpacity={0.25}
              stroke={cut}
              strokeWidth={what === 'coupon' ? 3 : 1}
            />
            <text x={LEFT + long * 0.12} y={top + high - coupon.high - 10} fontSize={11} fill={cut}>
              {`coupon ${number('long').toFixed(2)} × ${number('high').toFixed(2)} ${values.unit}`}
            </text>
          </>
        ) : null}
        <text x={LEFT} y={above - 8} fontSize={12} fill={palette.text.primary}>
          From above
        </text>
        <rect x={LEFT} y={above} width={long} height={wide} {...solid} />
        {values.closed && shell > 0 && 2 * shell < wide && cell > 0
          ? [0, 1].map((place) => (
              <rect
                key={place}
                x={LEFT + shell + place * (cell + shell)}
                y={above + shell}
                width={cell}
                height={wide - 2 * shell}
                rx={5}
                fill={palette.background.paper}
                stroke={palette.text.primary}
              />
            ))
          : null}
        {what === 'cells' ? (
          <rect
            x={LEFT}
            y={above}
            width={cell + 2 * shell}
            height={wide}
            fill="none"
            stroke={cut}
            strokeWidth={3}
          />
        ) : null}
        {inUnit ? (
          <rect
            x={LEFT + long * 0.12}
            y={above + wide - shell}
            width={coupon.long}
            height={shell}
            fill={cut}
            fillOpacity={what === 'coupon' ? 0.4 : 0.15}
            stroke={cut}
          />
        ) : null}
      </svg>
      <Box sx={{ minWidth: 200, flex: '1 1 200px' }}>
        {typeof values.couponShare === 'number' ? (
          <Typography>
            {`A coupon is about ${values.couponShare.toFixed(0)} % of the unit: for strength only. A piece for absorption has at least ${String(values.least)} % of the received mass, here the part beside the dotted line or more.`}
          </Typography>
        ) : (
          <Typography color="text.secondary">Measure the face shell: the coupon is drawn by it.</Typography>
        )}
      </Box>
    </Box>
  );
}
