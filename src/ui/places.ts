import type { Material } from '@/core/material/contract';

/** Where a lot stands: what comes in loads has a day of its own. */
export function lotHref(lotId: string, material: Pick<Material, 'comesInLoads'> | undefined): string {
  return `/${material?.comesInLoads ? 'placements' : 'lots'}/${lotId}`;
}
