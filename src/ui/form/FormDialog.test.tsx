// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { NoticeProvider } from '../parts/Notice';
import { FormDialog } from './FormDialog';
import type { FormProps } from './form-props';

const router = { push: vi.fn(), refresh: vi.fn() };
vi.mock('next/navigation', () => ({ useRouter: () => router }));

const sent: { path: string; data: unknown }[] = [];
let reply: () => Response | Promise<Response>;
beforeEach(() => {
  sent.length = 0;
  router.push.mockClear();
  router.refresh.mockClear();
  reply = () => new Response(JSON.stringify({ id: 'made' }));
  vi.stubGlobal('fetch', async (path: string, init: { body: string }) => {
    sent.push({ path, data: JSON.parse(init.body) });
    return reply();
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const refused = (status: number, body: object) => () => new Response(JSON.stringify(body), { status });

async function opened(over: Partial<FormProps> = {}): Promise<void> {
  render(
    <NoticeProvider>
      <FormDialog
        title="Add a tank"
        useCase="add-storage"
        fields={[
          { name: 'name', label: 'Name' },
          { name: 'rows', label: 'Rows', type: 'number' },
          { name: 'volume', label: 'Volume', optional: true },
        ]}
        fixed={{ kind: 'tank' }}
        initial={{ rows: '4' }}
        submit="Add it"
        done="The tank is there."
        button={(open) => (
          <button type="button" onClick={open}>
            Open
          </button>
        )}
        {...over}
      />
    </NoticeProvider>,
  );
  fireEvent.click(screen.getByText('Open'));
  await screen.findByRole('dialog');
}
const type = (label: string | RegExp, text: string): void =>
  void fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
const submit = (): void => void fireEvent.click(screen.getByRole('button', { name: 'Add it' }));
const data = (): unknown => sent.at(-1)?.data;

it('sends what was typed, numbers as numbers, what is fixed with it, and leaves out what is optional and empty', async () => {
  await opened();
  type('Name', '  Tank A ');
  submit();
  await screen.findByText('The tank is there.');
  expect(sent).toEqual([{ path: '/api/do/add-storage', data: { kind: 'tank', name: 'Tank A', rows: 4 } }]);
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(router.refresh).toHaveBeenCalledOnce();
});

it('goes where it is told to afterwards', async () => {
  // biome-ignore lint/suspicious/noThenProperty: the form's own word for what comes after
  await opened({ then: ({ id }) => `/gear/${String(id)}` });
  submit();
  await waitFor(() => expect(router.push).toHaveBeenCalledWith('/gear/made'));
  expect(router.refresh).not.toHaveBeenCalled();
});

it('puts what is wrong at its field, stays open and keeps what was typed', async () => {
  reply = refused(422, { message: 'Not all is right.', errors: { name: 'Tank A is there already.' } });
  await opened();
  type('Name', 'Tank A');
  type('Rows', '12');
  submit();
  await screen.findByText('Tank A is there already.');
  expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('Tank A');
  expect((screen.getByLabelText('Rows') as HTMLInputElement).value).toBe('12');
  expect(screen.queryByText('Not all is right.')).toBeNull();
});

it('says above the fields what belongs to none of them', async () => {
  reply = refused(422, { message: 'Not all is right.', errors: { columns: 'At most 60.' } });
  await opened();
  submit();
  expect((await screen.findByRole('alert')).textContent).toBe('At most 60.');
});

it('says so when the server is not reached, and can be sent again', async () => {
  reply = () => Promise.reject(new TypeError('fetch failed'));
  await opened();
  type('Name', 'Tank A');
  submit();
  expect((await screen.findByRole('alert')).textContent).toMatch(/cannot be reached.*kept here/u);
  reply = () => new Response('{}');
  submit();
  await screen.findByText('The tank is there.');
  expect(sent).toHaveLength(2);
});

it('is left without a word to the server', async () => {
  await opened();
  fireEvent.click(screen.getByText('Cancel'));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  expect(sent).toEqual([]);
});

it('a wall clock is that of the form’s zone; one that does not exist there is refused at the field', async () => {
  const fields = [{ name: 'at', label: 'When', type: 'datetime' as const }];
  // Clocks of New York went from 02:00 to 03:00 on 9 March 2031: a fact of the zone database.
  await opened({ fields, fixed: {}, initial: { at: '2031-03-09T02:30' }, zone: 'America/New_York' });
  submit();
  await screen.findByText(/no such time here/u);
  expect(sent).toEqual([]);
  // Left empty it is asked for, which is another thing than a time that does not exist.
  type('When', '');
  submit();
  await screen.findByText('Give day and time.');
  expect(sent).toEqual([]);
  type('When', '2031-03-09T03:30');
  submit();
  await screen.findByText('The tank is there.');
  expect(Date.parse((data() as { at: string }).at)).toBe(Date.UTC(2031, 2, 9, 7, 30));
});

it('of several answers those that are ticked go out, one that is ticked off does not', async () => {
  const options = [
    { value: 'slump', label: 'Slump' },
    { value: 'air-pressure', label: 'Air' },
    { value: 'moulding', label: 'Moulding' },
  ];
  await opened({
    fields: [{ name: 'methods', label: 'Tests', type: 'checks', options }],
    fixed: {},
    initial: {},
  });
  for (const label of ['Slump', 'Air', 'Slump', 'Moulding']) fireEvent.click(screen.getByLabelText(label));
  submit();
  await screen.findByText('The tank is there.');
  expect(data()).toEqual({ methods: ['air-pressure', 'moulding'] });
});

it('a password is what was typed, blanks and all', async () => {
  const fields = [{ name: 'password', label: 'Password', type: 'password' as const }];
  await opened({ fields, fixed: {}, initial: {} });
  type('Password', ' four words with blanks ');
  submit();
  await screen.findByText('The tank is there.');
  expect(data()).toEqual({ password: ' four words with blanks ' });
});

const SELDOM = [
  { name: 'name', label: 'Name' },
  { name: 'rows', label: 'Rows', type: 'number' },
  { name: 'depth', label: 'Depth', optional: true, rare: true },
] as const;

it('what is seldom asked stands behind a button, and what was typed there goes out when it is put away', async () => {
  await opened({ fields: SELDOM });
  type('Name', 'Tank C');
  expect(screen.queryByRole('textbox', { name: /^Depth/ })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: /1 more/ }));
  type(/^Depth/, '3 ft');
  fireEvent.click(screen.getByRole('button', { expanded: true }));
  expect(screen.queryByRole('textbox', { name: /^Depth/ })).toBeNull();
  submit();
  await waitFor(() => expect(data()).toEqual({ kind: 'tank', name: 'Tank C', rows: 4, depth: '3 ft' }));
});

it('what is seldom asked stands open where it holds something, and opens where it is wrong', async () => {
  await opened({ fields: SELDOM, initial: { rows: '4', depth: '2 ft' } });
  expect((screen.getByLabelText(/^Depth/) as HTMLInputElement).value).toBe('2 ft');
  cleanup();
  reply = refused(422, { message: 'Not all is right.', errors: { depth: 'Depth: that is no depth.' } });
  await opened({ fields: SELDOM });
  type('Name', 'Tank D');
  submit();
  await screen.findByText('Depth: that is no depth.');
  expect(document.activeElement).toBe(screen.getByLabelText(/^Depth/));
});
