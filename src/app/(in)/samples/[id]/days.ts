import type { Material, Stored } from '@/core/material/contract';
import { findMethod } from '@/core/methods/registry';
import type { DayTest } from '@/ui/views/DayPlan';

/** The tests of a sample that a day can be planned of. */
export function daysOf(material: Material | undefined, asked: Stored): DayTest[] {
  return (material?.onSample?.(asked) ?? []).flatMap((id) => {
    const { title, day } = findMethod(id) ?? {};
    return title && day ? [{ id, title, day }] : [];
  });
}
