'use client';
import { type BarrelAbout, barrelDrawing, placeUnder } from '@/core/methods/three-edge/barrel';
import { Drawn } from '../../drawings/Drawn';

/** The barrel unrolled, as its report draws it. @param pick takes a place along it, in whole steps */
export function Barrel({
  barrel,
  pick,
}: {
  readonly barrel: BarrelAbout;
  readonly pick?: ((at: number) => void) | undefined;
}) {
  return (
    <Drawn
      drawing={barrelDrawing(barrel)}
      // Every place can be typed in the table below it.
      press={
        pick &&
        ((share) => {
          const at = placeUnder(share, barrel);
          if (at !== undefined) pick(at);
        })
      }
    />
  );
}
