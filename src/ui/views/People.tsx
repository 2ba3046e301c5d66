'use client';
import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { useRouter } from 'next/navigation';
import { perform } from '../api';
import { FormDialog } from '../form/FormDialog';
import { useNotice } from '../parts/Notice';

interface Person {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: string;
  readonly title: string | null;
  readonly active: boolean;
  readonly jobs: readonly string[];
}

const WORDS: Readonly<Record<string, string>> = {
  field: 'Field technician',
  laboratory: 'Laboratory technician',
  reviewer: 'Reviewer',
  manager: 'Manager',
  client: 'Client, reads only',
};

function options(roles: readonly string[]) {
  return roles.map((role) => ({ value: role, label: WORDS[role] ?? role }));
}

/** A person who may sign in. */
export function AddPerson({ roles }: { roles: readonly string[] }) {
  return (
    <FormDialog
      title="Add a person"
      useCase="add-person"
      fields={[
        { name: 'name', label: 'Name' },
        { name: 'email', label: 'E-mail', type: 'email' },
        { name: 'role', label: 'Role', options: options(roles) },
        { name: 'title', label: 'Title under a signature', optional: true },
        {
          name: 'password',
          label: 'First password',
          type: 'password',
          help: 'At least 10 characters; hand it over in person.',
        },
      ]}
      submit="Add"
      done="Added: the person can sign in now."
      button={(open) => (
        <Button variant="contained" onClick={open}>
          Add a person
        </Button>
      )}
    />
  );
}

/** Who may sign in, as what, and which jobs each client reads. */
export function PeopleTable({
  people,
  roles,
  jobs,
  self,
}: {
  people: readonly Person[];
  roles: readonly string[];
  jobs: readonly { readonly id: string; readonly name: string }[];
  self: string;
}) {
  const router = useRouter();
  const notice = useNotice();
  const setActive = async (person: Person): Promise<void> => {
    const reply = await perform('change-person', { personId: person.id, active: !person.active });
    notice(
      reply.ok
        ? `${person.name} ${person.active ? 'can no longer sign in' : 'can sign in again'}.`
        : reply.message,
      reply.ok ? 'success' : 'error',
    );
    router.refresh();
  };
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small">
        <TableHead>
          <TableRow>
            {['Name', 'E-mail', 'Role', 'Access', 'Jobs shared', ''].map((word) => (
              <TableCell key={word}>{word}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {people.map((person) => (
            <TableRow key={person.id}>
              <TableCell>{person.name}</TableCell>
              <TableCell>{person.email}</TableCell>
              <TableCell>{WORDS[person.role] ?? person.role}</TableCell>
              <TableCell>{person.active ? 'may sign in' : 'no access'}</TableCell>
              <TableCell>{person.role === 'client' ? person.jobs.join(', ') || 'none' : 'all'}</TableCell>
              <TableCell sx={{ whiteSpace: 'nowrap', textAlign: 'right' }}>
                {person.role === 'client' ? (
                  <FormDialog
                    title={`Share a job with ${person.name}`}
                    useCase="let-client-see"
                    fixed={{ personId: person.id }}
                    fields={[
                      {
                        name: 'jobId',
                        label: 'Job',
                        options: jobs.map(({ id, name }) => ({ value: id, label: name })),
                      },
                    ]}
                    submit="Share"
                    done="Shared."
                    button={(open) => (
                      <Button size="small" onClick={open}>
                        Share a job
                      </Button>
                    )}
                  />
                ) : null}
                {person.id === self ? null : (
                  <>
                    <FormDialog
                      title={`Role of ${person.name}`}
                      useCase="change-person"
                      fixed={{ personId: person.id }}
                      initial={{ role: person.role }}
                      fields={[{ name: 'role', label: 'Role', options: options(roles) }]}
                      submit="Change"
                      done="Role changed."
                      button={(open) => (
                        <Button size="small" onClick={open}>
                          Role
                        </Button>
                      )}
                    />
                    <Button size="small" color="secondary" onClick={() => setActive(person)}>
                      {person.active ? 'Take access away' : 'Give access'}
                    </Button>
                  </>
                )}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
