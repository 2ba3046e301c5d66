'use client';
import { Box, Stack, ToggleButton, Typography } from '@mui/material';
import { useRef } from 'react';
import { setupMeasure } from '@/core/methods/measure-text';
import { areaOf, type FloorPlan, type PlanPage, type PointView, planProblems } from '@/core/plan';
import { Card } from '../parts/Card';
import type { Run } from '../runsheet/run';
import type { RunSheetData } from '../runsheet/types';
import { areaText } from './lengths';
import type { DrawnPoint } from './PlanCanvas';
import { PointCard } from './PointCard';
import { RoundList } from './RoundList';

/** Problems that are said at once. */
const SAID = 12;
/** How far an area that is drawn may be off the one that is told, share of it. Our choice. */
const OFF = 0.1;

/** What stands beside a plan: the point that is looked at, what is not placed, what is wrong, the round. */
export function PlanSide({
  page,
  sheets,
  held,
  canWrite,
  plan,
  points,
  unplaced,
  names,
  selected,
  select,
}: {
  readonly page: PlanPage;
  readonly sheets: readonly RunSheetData[];
  /** The runs of the sheets as they stand on this device. */
  readonly held: ReadonlyMap<string, Run>;
  readonly canWrite: boolean;
  readonly plan: FloorPlan;
  readonly points: readonly DrawnPoint[];
  /** Points that may still be placed by this person. */
  readonly unplaced: readonly PointView[];
  readonly names: ReadonlyMap<string, string>;
  readonly selected: string | null;
  readonly select: (id: string) => void;
}) {
  const { system, wants, rules, zone, now } = page;
  const problems = planProblems(plan, points, wants, rules);
  const card = useRef<HTMLDivElement>(null);
  const show = (id: string): void => {
    select(id);
    // From the list of the round one goes to the point, not only to its place on the plan.
    requestAnimationFrame(() => card.current?.scrollIntoView?.({ block: 'start' }));
  };
  const own = page.points.find(({ id }) => id === selected);
  return (
    <Stack spacing={1.5}>
      <RoundList
        points={points}
        zone={zone}
        system={system}
        now={now}
        select={show}
        held={held}
        canWrite={canWrite}
      />
      <Box ref={card} sx={{ scrollMarginTop: 72 }}>
        {own ? (
          <PointCard
            key={own.id}
            point={own}
            zoneName={names.get(own.sampleId) ?? ''}
            sheet={sheets.find(({ runId }) => runId === own.open)}
            run={own.open ? held.get(own.open) : undefined}
            canWrite={canWrite}
          />
        ) : null}
      </Box>
      {unplaced.length > 0 ? (
        <Card title="Not placed yet">
          <Stack direction="row" spacing={0.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
            {unplaced.map(({ id, short, sampleId }) => (
              <ToggleButton
                key={id}
                value={id}
                selected={selected === id}
                onChange={() => select(id)}
                sx={{ minWidth: 56, minHeight: 44 }}
                title={names.get(sampleId) ?? ''}
              >
                {short}
              </ToggleButton>
            ))}
          </Stack>
        </Card>
      ) : null}
      <Card title={problems.length === 0 ? 'Nothing is wrong with it' : 'What is wrong with it'}>
        {problems.slice(0, SAID).map(({ text }) => (
          <Typography key={text} color="warning.main">
            {text}
          </Typography>
        ))}
        {problems.length > SAID ? (
          <Typography color="warning.main">{`And ${problems.length - SAID} more.`}</Typography>
        ) : null}
        {plan.zones.map(({ sampleId, outline }) => {
          const drawn = areaOf(outline);
          const told = setupMeasure(wants.find((each) => each.sampleId === sampleId)?.area, 'area', 'm2');
          const off = told ? Math.abs(drawn / told.toNumber() - 1) : 0;
          return (
            <Typography key={sampleId} variant="body2" color={off > OFF ? 'warning.main' : 'text.secondary'}>
              {`${names.get(sampleId)}: ${areaText(drawn, system)} drawn${off > OFF ? `, ${areaText(told?.toNumber() ?? 0, system)} told: one of the two is wrong` : ''}`}
            </Typography>
          );
        })}
      </Card>
    </Stack>
  );
}
