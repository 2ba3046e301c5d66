'use client';
import { Button } from '@mui/material';
import { findMaterial } from '@/core/materials/registry';
import { fieldsOf } from '@/core/methods';
import type { System } from '@/core/quantity';
import { capital } from '@/core/words';
import { FormDialog } from '../form/FormDialog';
import { formFields } from '../form/fields-of';

interface JobChoice {
  readonly id: string;
  readonly name: string;
  readonly zone: string;
  readonly system: System;
  /** The wall clock now, in the job's zone. */
  readonly now: string;
  readonly specifications: readonly {
    readonly id: string;
    readonly name: string;
    readonly material: string;
  }[];
}

/** A lot entered: what was asked for goes where, and when. */
export function NewLot({ jobs, material: id }: { jobs: readonly JobChoice[]; material: string }) {
  const material = findMaterial(id);
  const usable = jobs.flatMap((job) => {
    const own = job.specifications.filter((each) => each.material === id);
    return own.length > 0 ? [{ ...job, own }] : [];
  });
  const [first] = usable;
  if (!first || !material) return null;
  const { words, lotFields, Lot } = material;
  const [before] = first.own;
  return (
    <FormDialog
      title={`New ${words.lot[0]}`}
      useCase="create-lot"
      zone={first.zone}
      initial={{ startsAt: first.now, ...(before ? { specificationId: `${first.id}/${before.id}` } : {}) }}
      fields={[
        {
          name: 'specificationId',
          label: capital(words.specification[0]),
          options: usable.flatMap((job) =>
            job.own.map((each) => ({
              value: `${job.id}/${each.id}`,
              label: usable.length > 1 ? `${job.name}: ${each.name}` : each.name,
            })),
          ),
        },
        { name: 'title', label: lotFields.title, help: lotFields.titleHelp },
        ...formFields(fieldsOf(Lot), first.system),
        { name: 'startsAt', label: lotFields.startsAt, type: 'datetime' },
      ]}
      shape={({ specificationId, title, startsAt, ...about }) => {
        const [jobId, chosen] = String(specificationId).split('/');
        return { jobId, specificationId: chosen, title, startsAt, about };
      }}
      submit={`Enter the ${words.lot[0]}`}
      done={`Entered: ${words.lot[0]}.`}
      button={(open) => (
        <Button variant="outlined" onClick={open}>
          {`New ${words.lot[0]}`}
        </Button>
      )}
    />
  );
}
