'use client';
import {
  Box,
  Button,
  Chip,
  Stack,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  Typography,
} from '@mui/material';
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
  readonly jobs: readonly { readonly id: string; readonly number: string }[];
  /** How many devices they are signed in on. */
  readonly sessions: number;
  /** Until when their link opens, where they have no password yet, in words. */
  readonly invited: string | null;
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

/** The link of an invitation, to be handed over: it is shown this once. */
function HandOver({ link }: { link: string }) {
  const notice = useNotice();
  const whole = `${window.location.origin}${link}`;
  const copy = async (): Promise<void> => {
    await navigator.clipboard.writeText(whole).then(
      () => notice('Copied.'),
      () => notice('The browser does not copy here: mark the link and copy it by hand.', 'error'),
    );
  };
  return (
    <Stack spacing={2} sx={{ pt: 1 }}>
      <Typography>
        Hand this link over yourself. Whoever opens it sets the password; it opens once, within seven days,
        and is not shown again.
      </Typography>
      <TextField
        label="Link"
        value={whole}
        fullWidth
        slotProps={{ input: { readOnly: true }, htmlInput: { onFocus: mark } }}
      />
      <Button variant="outlined" onClick={copy} sx={{ alignSelf: 'start' }}>
        Copy the link
      </Button>
    </Stack>
  );
}

const mark = (event: { currentTarget: HTMLInputElement | HTMLTextAreaElement }): void =>
  event.currentTarget.select();

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
      ]}
      submit="Add"
      done="Added."
      shows={(data) => <HandOver link={String(data.link)} />}
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
  const act = async (useCase: string, data: object, done: string): Promise<void> => {
    const reply = await perform(useCase, data);
    notice(reply.ok ? done : reply.message, reply.ok ? 'success' : 'error');
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
              <TableCell>{access(person)}</TableCell>
              <TableCell>
                {person.role !== 'client' && 'all'}
                {person.role === 'client' && person.jobs.length === 0 && 'none'}
                {person.role === 'client' &&
                  person.jobs.map(({ id, number }) => (
                    <Chip
                      key={id}
                      label={number}
                      onDelete={() =>
                        act(
                          'take-client-off',
                          { personId: person.id, jobId: id },
                          `${person.name} no longer reads ${number}.`,
                        )
                      }
                      sx={{ mr: 0.5, mb: 0.5 }}
                    />
                  ))}
              </TableCell>
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
                      title={`${person.name}: name and role`}
                      useCase="change-person"
                      fixed={{ personId: person.id }}
                      initial={{ name: person.name, title: person.title ?? '', role: person.role }}
                      intro={
                        <Typography>
                          {`What is signed keeps the name it was signed with.${
                            person.names.length > 0 ? ` Earlier names: ${person.names.join(', ')}.` : ''
                          }`}
                        </Typography>
                      }
                      fields={[
                        { name: 'name', label: 'Name' },
                        { name: 'title', label: 'Title under a signature' },
                        { name: 'role', label: 'Role', options: options(roles) },
                      ]}
                      submit="Change"
                      done="Changed; what it was stays on record."
                      button={(open) => (
                        <Button size="small" onClick={open}>
                          Name, role
                        </Button>
                      )}
                    />
                    {person.active ? (
                      <FormDialog
                        title={`A new way in for ${person.name}`}
                        useCase="invite-person"
                        fixed={{ personId: person.id }}
                        intro="For somebody who has no password, or has lost it. The password of now and every session end at once; with the link they set a new one themselves."
                        fields={[]}
                        submit="Make the link"
                        done="The link is made."
                        shows={(data) => <HandOver link={String(data.link)} />}
                        button={(open) => (
                          <Button size="small" onClick={open}>
                            Link to sign in
                          </Button>
                        )}
                      />
                    ) : null}
                    {person.sessions > 0 ? (
                      <Button
                        size="small"
                        onClick={() =>
                          act(
                            'end-sessions',
                            { personId: person.id },
                            `${person.name} is signed out everywhere.`,
                          )
                        }
                      >
                        Sign out everywhere
                      </Button>
                    ) : null}
                    <Button
                      size="small"
                      color="secondary"
                      onClick={() =>
                        act(
                          'change-person',
                          { personId: person.id, active: !person.active },
                          `${person.name} ${person.active ? 'can no longer sign in' : 'can sign in again'}.`,
                        )
                      }
                    >
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

/** Whether they come in, and how they stand with it. */
function access({ active, invited, sessions }: Person): string {
  if (!active) return 'no access';
  if (invited) return invited;
  return sessions > 0
    ? `signed in on ${sessions === 1 ? 'one device' : `${sessions} devices`}`
    : 'may sign in';
}

const OUTCOMES: Readonly<Record<string, string>> = {
  'signed in': 'signed in',
  refused: 'refused: wrong password, or no access',
  'held back': 'held back after too many failures',
  'signed out': 'signed out',
  'password set': 'set a password by a link',
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
              <TableCell sx={['refused', 'held back'].includes(row.outcome) ? { color: 'error.main' } : {}}>
                {OUTCOMES[row.outcome] ?? row.outcome}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
