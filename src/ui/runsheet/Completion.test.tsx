// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { findMethod } from '@/core/methods/registry';
import { type Asked, opened, sheetData, standInServer } from '@/testing/sheet';
import { NoticeProvider } from '../parts/Notice';
import { Completion } from './Completion';
import type { RunSheetData } from './types';
import { useRun } from './use-run';

const router = { push: vi.fn(), refresh: vi.fn() };
vi.mock('next/navigation', () => ({ useRouter: () => router }));

beforeEach(() => {
  localStorage.clear();
  router.refresh.mockClear();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** The example of a method as readings that were typed, changed as said. */
function readingsOf(method: string, over: Readonly<Record<string, string>> = {}): Record<string, string> {
  const { input } = findMethod(method)?.example('US') ?? { input: {} };
  const typed = Object.entries(input).filter(([name]) => name !== 'system');
  return { ...Object.fromEntries(typed.map(([name, value]) => [name, String(value)])), ...over };
}
const GOOD = { method: 'slump', sampleId: 'sample-1', readings: readingsOf('slump') } as const;
/** A mould lifted in a second: no valid test, and a reason is asked for. */
const FAST = {
  ...GOOD,
  readings: readingsOf('slump', {
    liftStartedAt: '2031-05-14T09:34:39-04:00',
    liftEndedAt: '2031-05-14T09:34:40-04:00',
  }),
};

const onMissing = vi.fn();
function Sheet({ data }: { data: RunSheetData }) {
  const run = useRun(data, Date.UTC(2031, 4, 14, 14));
  return (
    <NoticeProvider>
      <Completion
        run={run}
        data={data}
        next={{ href: '/field/sample-1', label: 'Back to the sample' }}
        onMissing={onMissing}
      />
    </NoticeProvider>
  );
}

let asked: readonly Asked[] = [];
async function open(
  over: Parameters<typeof sheetData>[0],
  answers?: Parameters<typeof standInServer>[0],
): Promise<void> {
  onMissing.mockClear();
  asked = standInServer(answers);
  const data = sheetData(over);
  await opened(data.method, <Sheet data={data} />);
}
const press = (name: string): void => void fireEvent.click(screen.getByRole('button', { name }));

describe('completing a run', () => {
  it('is asked of the server once everything is there, and said', async () => {
    await open(GOOD);
    press('Complete the run');
    await screen.findByText('Run completed.');
    expect(asked).toEqual([{ useCase: 'complete-run', data: { runId: 'run-1', reasons: [] } }]);
    expect(router.refresh).toHaveBeenCalledOnce();
  });
  it('has a key of its own', async () => {
    await open(GOOD);
    fireEvent.keyDown(window, { key: 'Enter', ctrlKey: true });
    await screen.findByText('Run completed.');
  });
  it('marks what is still to be taken and asks nothing of the server', async () => {
    await open({ ...GOOD, readings: { slump: '4' } });
    press('Complete the run');
    await screen.findByText(/still to be taken/u);
    expect(onMissing).toHaveBeenCalledOnce();
    expect(asked).toEqual([]);
  });
  it('puts what the server refuses where it belongs, and can be tried again', async () => {
    const refused = () =>
      new Response(
        JSON.stringify({
          message: 'Reasons are missing.',
          errors: { 'reason.slump.lift': 'Say why it goes on.' },
        }),
        { status: 422 },
      );
    await open(FAST, { 'complete-run': refused });
    press('Complete the run');
    await screen.findByText('Say why it goes on.');
    await screen.findByText('Reasons are missing.');
    fireEvent.change(screen.getAllByLabelText(/Reason for going on/u)[0] as HTMLElement, {
      target: { value: 'no second portion' },
    });
    expect(screen.queryByText('Say why it goes on.')).toBeNull();
    press('Complete the run');
    await waitFor(() => expect(asked).toHaveLength(2));
    expect(asked[1]?.data).toEqual({
      runId: 'run-1',
      reasons: [{ findingId: 'slump.lift', reason: 'no second portion' }],
    });
  });
  it('is not offered to who may only read', async () => {
    await open({ ...FAST, canWrite: false });
    expect(screen.queryByRole('button', { name: 'Complete the run' })).toBeNull();
    expect(screen.queryByLabelText(/Reason for going on/u)).toBeNull();
  });
});

describe('a run that is complete', () => {
  const DONE = { ...GOOD, state: 'complete' } as const;
  it('leads on to what comes next', async () => {
    await open(DONE);
    expect(screen.getByText('This run is complete.')).toBeDefined();
    expect(screen.getByRole('link', { name: 'Back to the sample' }).getAttribute('href')).toBe(
      '/field/sample-1',
    );
  });
  it('is corrected only with a reason, which is then shown', async () => {
    await open(DONE);
    press('Correct a reading');
    expect((screen.getByRole('button', { name: 'Correct readings' }) as HTMLButtonElement).disabled).toBe(
      true,
    );
    fireEvent.change(screen.getByLabelText('Reason for the correction'), {
      target: { value: ' read upside down ' },
    });
    press('Correct readings');
    expect(screen.getByText('Correcting: read upside down')).toBeDefined();
  });
  it('under a signed report is corrected by an amendment only', async () => {
    const lock = { reportId: 'r-1', report: 'PMF-R001 rev 0', amendment: null };
    await open({ ...DONE, lock });
    expect(screen.getByText(/Signed report PMF-R001 rev 0 rests on it/u)).toBeDefined();
    expect(screen.queryByRole('button', { name: 'Correct a reading' })).toBeNull();
    cleanup();
    await open({ ...DONE, lock: { ...lock, amendment: { id: 'a-1', reason: 'client data' } } });
    expect(screen.getByRole('button', { name: 'Correct a reading' })).toBeDefined();
  });
  it('says which reasons are recorded, and whether a reviewer accepted them', async () => {
    const reason = { findingId: 'slump.lift', reason: 'no second portion', byName: 'A. Technician' };
    await open({ ...FAST, state: 'complete', reasons: [{ ...reason, acceptedByName: null }] });
    expect(
      screen.getByText('Reason recorded by A. Technician: no second portion Not accepted yet.'),
    ).toBeDefined();
    // What has its reason asks for none.
    expect(screen.queryByRole('button', { name: 'Record the reason' })).toBeNull();
  });
  it('asks for the reason of what came up afterwards', async () => {
    await open({ ...FAST, state: 'complete' });
    for (const field of screen.getAllByLabelText(/Reason for going on/u))
      fireEvent.change(field, { target: { value: 'found later' } });
    press('Record the reason');
    await screen.findByText('Reason recorded.');
    expect(asked).toEqual([
      {
        useCase: 'give-reason',
        data: { runId: 'run-1', findingId: 'slump.lift', reason: 'found later' },
      },
    ]);
  });
  it('is made again with its own reason', async () => {
    await open(DONE);
    press('Repeat the test');
    fireEvent.change(await screen.findByLabelText('Why it is repeated'), { target: { value: 'sheared' } });
    press('Start another');
    await screen.findByText('Another attempt is open.');
    expect(asked).toEqual([
      {
        useCase: 'start-run',
        data: { method: 'slump', sampleId: 'sample-1', repeatReason: 'sheared' },
      },
    ]);
  });
});
