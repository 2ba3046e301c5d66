// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { post } from '../api';
import { NoticeProvider } from '../parts/Notice';
import { ImportResults } from './ImportResults';

vi.mock('next/navigation', () => ({ useRouter: () => ({ push: vi.fn() }) }));
vi.mock('../api', () => ({ post: vi.fn(), perform: vi.fn() }));
const METHOD = {
  id: 'slab-humidity',
  title: 'Humidity in the slab',
  columns: ['humidity_percent'],
  known: [{ column: 'humidity_percent', label: 'Humidity' }],
  load: '',
};
interface Sent {
  readonly csv: string;
  readonly headings: Readonly<Record<string, string>>;
}
const headingsSent = () => (vi.mocked(post).mock.calls.at(-1)?.[1] as Sent | undefined)?.headings;
const give = async (): Promise<void> => {
  const file = new File(['Serial,RH\nRH-1,84'], 'probe.csv', { type: 'text/csv' });
  file.text = async () => 'Serial,RH\nRH-1,84';
  fireEvent.change(document.querySelector('input[type=file]') as Element, { target: { files: [file] } });
  await waitFor(() => expect(post).toHaveBeenCalled());
};
const choose = (heading: string, option: string): void => {
  fireEvent.mouseDown(screen.getByRole('combobox', { name: heading }));
  fireEvent.click(screen.getByRole('option', { name: option }));
};

beforeEach(() => {
  localStorage.clear();
  vi.mocked(post).mockImplementation(async (_, body) => {
    const { csv, headings } = body as Sent;
    const columns = (csv.split('\n')[0] ?? '')
      .toLowerCase()
      .split(',')
      .map((name) => headings[name] ?? name);
    const known = ['specimen', 'humidity_percent'];
    return {
      ok: true,
      data: {
        rows: [],
        problems: [],
        columns,
        ignoredColumns: columns.filter((name) => !known.includes(name)),
      },
    };
  });
});
afterEach(() => {
  cleanup();
  vi.clearAllMocks();
});

it('columns that are called otherwise are named once, and known in the next file', async () => {
  const { unmount } = render(
    <NoticeProvider>
      <ImportResults jobId="job" methods={[METHOD]} />
    </NoticeProvider>,
  );
  await give();
  expect(headingsSent()).toEqual({});
  await screen.findByText(/Columns not used/u);
  choose('serial', 'Specimen, or serial number: specimen');
  await waitFor(() => expect(headingsSent()).toEqual({ serial: 'specimen' }));
  await screen.findByText('“serial” is specimen.');
  choose('rh', 'Humidity: humidity_percent');
  await waitFor(() => expect(headingsSent()).toEqual({ serial: 'specimen', rh: 'humidity_percent' }));
  await waitFor(() => expect(screen.queryByText(/Columns not used/u)).toBeNull());
  unmount();
  render(
    <NoticeProvider>
      <ImportResults jobId="job" methods={[METHOD]} />
    </NoticeProvider>,
  );
  await give();
  expect(headingsSent()).toEqual({ serial: 'specimen', rh: 'humidity_percent' });
  fireEvent.click(await screen.findByRole('button', { name: '“rh” is something else' }));
  await waitFor(() => expect(headingsSent()).toEqual({ serial: 'specimen' }));
});
