// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { type ReactElement, useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { MethodId } from '@/core/methods/registry';
import { type Asked, savedReadings, sheetData, standInServer } from '@/testing/sheet';
import { InMethodFolder } from '../methods/registry';
import type { Run } from '../runsheet/run';
import { RunHolder } from './RunHolder';
import { TestCard } from './TestCard';

vi.mock('next/navigation', () => ({
  useRouter: () => ({ push: () => undefined, refresh: () => undefined }),
}));

let asked: readonly Asked[] = [];
beforeEach(() => {
  localStorage.clear();
  asked = standInServer();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const saved = (): Record<string, string> =>
  Object.fromEntries(savedReadings(asked).map(({ field, text }) => [field, text]));

/** A sample on the phone: its run is held in one place, its card stands in another. */
function Sample({
  method,
  readings = {},
  canWrite = true,
}: {
  method: MethodId;
  readings?: Readonly<Record<string, string>>;
  canWrite?: boolean;
}) {
  const [run, setRun] = useState<Run>();
  const [open, setOpen] = useState(false);
  const [data] = useState(() => sheetData({ method, readings, canWrite }));
  const [hold] = useState(() => (_id: string, next: Run) => setRun(next));
  return (
    <>
      <InMethodFolder id={method}>
        <RunHolder data={data} now={Date.UTC(2031, 5, 12)} onRun={hold} />
      </InMethodFolder>
      <ul>
        <TestCard
          title="The test"
          data={data}
          run={run}
          sound={false}
          specimens={2}
          open={open}
          onToggle={() => setOpen((now) => !now)}
        />
      </ul>
    </>
  );
}

/** Opens the card, once its run is held. */
async function openCard(sample: ReactElement): Promise<void> {
  await act(async () => {
    render(sample);
  });
  fireEvent.click(screen.getByRole('button', { name: /The test/u }));
  await waitFor(() => expect(screen.getAllByRole('heading').length).toBeGreaterThan(1), { timeout: 10_000 });
}

describe('a test of the sample on the phone', () => {
  it('opens its readings though its run is held elsewhere, and says how far it is', async () => {
    await openCard(<Sample method="concrete-temperature" readings={{ temperature: '71' }} />);
    expect(screen.getByText('under way')).toBeDefined();
    expect(screen.queryByRole('button', { name: /Count/u })).toBeNull();
  });

  it('counts the layers of a cone and keeps what was counted', async () => {
    await openCard(<Sample method="slump" />);
    fireEvent.click(screen.getByRole('button', { name: 'Count strokes: 3 × 25' }));
    for (let stroke = 0; stroke < 75; stroke += 1) fireEvent.click(screen.getByLabelText('One stroke'));
    fireEvent.click(screen.getByRole('button', { name: 'Keep these counts' }));
    await waitFor(() => expect(saved()).toEqual({ strokes: '25 25 25', layers: 'true' }));
  });

  it('says what is wanted before the moulds can be counted, then counts each of them', async () => {
    await openCard(<Sample method="moulding" />);
    expect(screen.getByText(/Choose mould and consolidation/u)).toBeDefined();
    cleanup();
    await openCard(<Sample method="moulding" readings={{ mould: '4x8', consolidation: 'rod' }} />);
    expect(screen.getByRole('button', { name: 'Count strokes: 2 × 25' })).toBeDefined();
  });

  it('has nothing to count where nothing may be written', async () => {
    await openCard(<Sample method="slump" canWrite={false} />);
    expect(screen.queryByRole('button', { name: /Count/u })).toBeNull();
  });
});
