'use client';
import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
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
  /** How they were called before. */
  readonly names: readonly string[];
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
          help: 'A few words that do not belong together; hand it over in person.',
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
                      title={`Name of ${person.name}`}
                      useCase="change-person"
                      fixed={{ personId: person.id }}
                      initial={{ name: person.name, title: person.title ?? '' }}
                      intro={
                        <Typography>
                          {`What is signed keeps the name it was signed with.${
                            person.names.length > 0 ? ` Earlier names: ${person.names.join(', ')}.` : ''
                          }`}
                        </Typography>
                      }
                      fields={[
                        { name: 'name', label: 'Name' },
                        { name: 'title', label: 'Title under a signature', optional: true },
                      ]}
                      submit="Change"
                      done="Name changed; what it was stays on record."
                      button={(open) => (
                        <Button size="small" onClick={open}>
                          Name
                        </Button>
                      )}
                    />
                    <FormDialog
                      title={`New password for ${person.name}`}
                      useCase="reset-password"
                      fixed={{ personId: person.id }}
                      fields={[
                        {
                          name: 'password',
                          label: 'New password',
                          type: 'password',
                          help: 'A few words that do not belong together; hand it over in person.',
                        },
                      ]}
                      submit="Set it"
                      done="Set. Every session under the old one has ended."
                      button={(open) => (
                        <Button size="small" onClick={open}>
                          Password
                        </Button>
                      )}
                    />
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

const OUTCOMES: Readonly<Record<string, string>> = {
  'signed in': 'signed in',
  refused: 'refused: wrong password, or no access',
  'held back': 'held back after too many failures',
  'signed out': 'signed out',
};

/** Who came and went, and who was not let in; the newest first. */
export function SignInTable({
  rows,
}: {
  rows: readonly {
    readonly id: number;
    readonly at: string;
    readonly email: string;
    readonly name: string | null;
    readonly address: string;
    readonly outcome: string;
  }[];
}) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small">
        <TableHead>
          <TableRow>
            {['When', 'Who', 'From', 'What'].map((word) => (
              <TableCell key={word}>{word}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row) => (
            <TableRow key={row.id}>
              <TableCell sx={{ whiteSpace: 'nowrap' }}>{row.at}</TableCell>
              <TableCell>{row.name ? `${row.name} (${row.email})` : row.email}</TableCell>
              <TableCell className="mono">{row.address || 'not known'}</TableCell>
              <TableCell sx={row.outcome.startsWith('signed') ? {} : { color: 'error.main' }}>
                {OUTCOMES[row.outcome] ?? row.outcome}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
