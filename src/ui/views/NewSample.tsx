'use client';
import { Button } from '@mui/material';
import { findMaterial } from '@/core/materials/registry';
import { fieldsOf } from '@/core/methods';
import type { System } from '@/core/quantity';
import { capital } from '@/core/words';
import { FormDialog } from '../form/FormDialog';
import { formFields } from '../form/fields-of';

/** A sample of a lot, by the fields of its material: a group of pieces. */
export function NewSample({
  lotId,
  material: id,
  system,
  zone,
  now,
}: {
  lotId: string;
  material: string;
  system: System;
  zone: string;
  now: string;
}) {
  const material = findMaterial(id);
  if (!material?.Sample) return null;
  const [sample] = material.words.sample;
  return (
    <FormDialog
      title={`New ${sample}`}
      useCase="take-sample"
      zone={zone}
      initial={{ sampledAt: now }}
      fields={[
        ...formFields(fieldsOf(material.Sample), system),
        { name: 'sampledAt', label: 'Taken at', type: 'datetime' },
      ]}
      shape={({ sampledAt, ...about }) => ({ clientId: crypto.randomUUID(), lotId, sampledAt, about })}
      submit={`Enter the ${sample}`}
      done={`${capital(sample)} entered.`}
      then={({ sampleId }) => `/samples/${String(sampleId)}`}
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          {`New ${sample}`}
        </Button>
      )}
    />
  );
}
