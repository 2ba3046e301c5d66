'use client';
import type { Drawing, Section } from '@/core/report';
import { Drawn } from '../drawings/Drawn';

/** A drawing of a report on the screen, over the picture that it was drawn on. */
export function ReportDrawing({
  drawing,
  picture,
}: {
  readonly drawing: Drawing;
  readonly picture: Extract<Section, { kind: 'drawing' }>['picture'] | undefined;
}) {
  return (
    <Drawn
      drawing={drawing}
      most={860}
      under={
        picture ? (
          <image
            href={`/api/plan-pictures/${picture.of.id}`}
            width={drawing.width}
            height={picture.height}
            preserveAspectRatio="none"
            opacity={0.6}
          />
        ) : null
      }
    />
  );
}
