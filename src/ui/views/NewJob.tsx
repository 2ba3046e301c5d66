'use client';
import { Button } from '@mui/material';
import { PROFILE_WORDS, PROFILES } from '@/core/limits/schools';
import { FormDialog } from '../form/FormDialog';

/** A job entered by a manager. */
export function NewJob({ zone }: { zone: string }) {
  return (
    <FormDialog
      title="New job"
      useCase="create-job"
      initial={{ zone, system: 'US', profile: 'astm' }}
      fields={[
        { name: 'number', label: 'Number', help: 'Short: it begins every label of this job.' },
        { name: 'name', label: 'Name' },
        { name: 'owner', label: 'Owner' },
        { name: 'location', label: 'Place' },
        { name: 'zone', label: 'Time zone', help: 'Area/City: times of this job are shown in it.' },
        {
          name: 'system',
          label: 'System of units',
          options: [
            { value: 'US', label: 'Inch-pound' },
            { value: 'SI', label: 'SI' },
          ],
          help: 'Limits are taken from this system alone.',
        },
        {
          name: 'profile',
          label: 'School of testing',
          options: PROFILES.map((value) => ({ value, label: PROFILE_WORDS[value] })),
          help: 'Whose steps and limits the field follows; the report names it.',
        },
      ]}
      submit="Enter the job"
      done="Job entered."
      then={(data) => `/jobs/${String(data.jobId)}`}
      button={(open) => (
        <Button variant="contained" onClick={open}>
          New job
        </Button>
      )}
    />
  );
}
