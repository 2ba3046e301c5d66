'use client';
import { Button } from '@mui/material';
import { criteriaOf } from '@/core/acceptance/criteria';
import { findMaterial } from '@/core/materials/registry';
import { fieldsOf } from '@/core/methods';
import type { System } from '@/core/quantity';
import { FormDialog } from '../form/FormDialog';
import { formFields } from '../form/fields-of';

/** What is asked of a material. A code that is there already becomes a new version of it. */
export function NewSpecification({
  jobId,
  system,
  material: id,
}: {
  jobId: string;
  system: System;
  material: string;
}) {
  const material = findMaterial(id);
  if (!material) return null;
  const [specification] = material.words.specification;
  const held = criteriaOf([...material.criteria, ...(material.series?.[0]?.criteria('astm') ?? [])]).map(
    ({ title }) => title.toLowerCase(),
  );
  return (
    <FormDialog
      title={`New ${specification}`}
      useCase="create-specification"
      fixed={{ jobId, material: id }}
      initial={material.usual ?? {}}
      fields={[
        {
          name: 'code',
          label: 'Code',
          help: 'A code that is there already becomes a new version; the old one stays on record.',
        },
        { name: 'title', label: 'What it is for' },
        ...formFields(fieldsOf(material.Asked), system),
      ]}
      shape={({ jobId: job, material: of, code, title, ...asked }) => ({
        jobId: job,
        material: of,
        code,
        title,
        asked,
      })}
      submit={`Enter the ${specification}`}
      done={`Entered${held.length > 0 ? `, held against: ${held.join(', ')}` : ''}.`}
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          {`New ${specification}`}
        </Button>
      )}
    />
  );
}
