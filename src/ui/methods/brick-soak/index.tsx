'use client';
import type { PropsWithChildren } from 'react';
import { brickSoak } from '@/core/methods/brick-soak';
import { InFolder, wholeFolder } from '../holding';
import { Tank } from '../tank/Tank';

const FOLDER = wholeFolder({ method: brickSoak, Bench: Tank });

export function InBrickSoak({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
