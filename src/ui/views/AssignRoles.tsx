'use client';
import { Button } from '@mui/material';
import type { Role, RoleProposal } from '@/core/material/contract';
import { FormDialog } from '../form/FormDialog';

/** What each specimen of a sample is for, with what would suit better where that is known. */
export function AssignRoles({
  sampleId,
  zone,
  roles,
  specimens,
  proposal,
}: {
  sampleId: string;
  zone: string;
  roles: readonly Role[];
  specimens: readonly { readonly label: string; readonly role: string | null }[];
  proposal: RoleProposal | null;
}) {
  return (
    <FormDialog
      title="What each is for"
      useCase="assign-roles"
      fixed={{ sampleId }}
      zone={zone}
      initial={Object.fromEntries(
        specimens.map(({ label, role }) => [label, proposal?.roles[label] ?? role ?? '']),
      )}
      fields={specimens.map(({ label }) => ({
        name: label,
        label,
        options: roles.map(({ id, text }) => ({ value: id, label: text })),
      }))}
      shape={({ sampleId: of, ...chosen }) => ({ sampleId: of, roles: chosen })}
      intro={proposal?.why ?? 'It can be changed until a test of the specimen is begun.'}
      submit="Assign them"
      done="Assigned."
      button={(open) => (
        <Button onClick={open} variant={proposal ? 'contained' : 'text'}>
          {proposal ? 'A better split' : 'What each is for'}
        </Button>
      )}
    />
  );
}
