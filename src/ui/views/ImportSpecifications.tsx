'use client';
import { useMemo } from 'react';
import { columnsOf } from '@/core/interchange/lists';
import { findMaterial } from '@/core/materials/registry';
import { fieldsOf } from '@/core/methods';
import { ImportList } from './ImportList';

/** What is asked of a material in a job, out of a list: the columns are the fields of its form. */
export function ImportSpecifications({ jobId, material: id }: { jobId: string; material: string }) {
  const about = useMemo(() => ({ jobId, material: id }), [jobId, id]);
  const material = findMaterial(id);
  if (!material) return null;
  return (
    <ImportList
      list="specifications"
      about={about}
      more={columnsOf(fieldsOf(material.Asked))}
      words={{ title: `${material.words.specification[1]} from a list`, button: 'From a list' }}
    />
  );
}
