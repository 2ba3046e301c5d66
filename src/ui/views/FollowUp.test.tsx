// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { LOW_STRENGTH_STEPS, summarise, type VerdictState } from '@/core/acceptance';
import { type Asked, standInServer } from '@/testing/sheet';
import { NoticeProvider } from '../parts/Notice';
import { VerdictMark } from '../parts/Verdict';
import { WindowBadge } from '../parts/WindowBadge';
import { FollowUp } from './FollowUp';

const router = { push: vi.fn(), refresh: vi.fn() };
vi.mock('next/navigation', () => ({ useRouter: () => router }));

let asked: readonly Asked[] = [];
beforeEach(() => {
  asked = standInServer();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('what is to be done about a low test', () => {
  const [first, ...rest] = LOW_STRENGTH_STEPS;
  const draw = (canRecord = true) =>
    render(
      <NoticeProvider>
        <FollowUp
          sampleId="s1"
          title="Low test QY-001: Does not meet."
          canRecord={canRecord}
          steps={[
            {
              ...(first as (typeof LOW_STRENGTH_STEPS)[number]),
              done: ['Wed 11 Jun 10:00, Somebody: Same figures.'],
            },
            ...rest.map((step) => ({ ...step, done: [] })),
          ]}
        />
      </NoticeProvider>,
    );
  it('stands step by step, who does it, and what was found', () => {
    draw();
    const steps = screen.getAllByRole('listitem');
    expect(steps).toHaveLength(LOW_STRENGTH_STEPS.length);
    expect(within(steps[0] as HTMLElement).getByText(`${first?.title}, done`)).toBeDefined();
    expect(within(steps[0] as HTMLElement).getByText(/Same figures/u)).toBeDefined();
    expect(within(steps[1] as HTMLElement).getByText(`${rest[0]?.detail} (${rest[0]?.who})`)).toBeDefined();
  });
  it('offers what is open to be recorded, and what is done to be added to', () => {
    draw();
    expect(screen.getAllByRole('button', { name: 'Record' })).toHaveLength(LOW_STRENGTH_STEPS.length - 1);
    expect(screen.getAllByRole('button', { name: 'Add' })).toHaveLength(1);
    cleanup();
    draw(false);
    expect(screen.queryAllByRole('button')).toHaveLength(0);
  });
  it('is recorded with its step and its sample', async () => {
    draw();
    fireEvent.click(screen.getAllByRole('button', { name: 'Record' })[0] as HTMLElement);
    const dialog = within(await screen.findByRole('dialog', undefined, { timeout: 5000 }));
    fireEvent.change(dialog.getByLabelText('What was done and found'), {
      target: { value: 'Marks agree with the moulds.' },
    });
    fireEvent.click(dialog.getByRole('button', { name: 'Record' }));
    await waitFor(() =>
      expect(asked.at(-1)).toEqual({
        useCase: 'record-follow-up',
        data: { sampleId: 's1', stepId: rest[0]?.id, note: 'Marks agree with the moulds.' },
      }),
    );
  });
});

describe('marks', () => {
  it('tell verdicts by sign, word and colour, each another', () => {
    const states: VerdictState[] = ['meets', 'does not meet', 'needs decision', 'not yet determinable'];
    const told = states.map((state) => {
      cleanup();
      return render(<VerdictMark state={state} />).container.textContent;
    });
    expect(told).toEqual(['✓Meets', '✕Does not meet', '?Needs decision', '…Not yet determinable']);
    cleanup();
    expect(render(<VerdictMark state="meets" word="Held" />).container.textContent).toBe('✓Held');
  });
  it('tell windows by word and shape', () => {
    const states = ['not open yet', 'open', 'closing', 'missed', 'done'] as const;
    const drawn = states.map((state) => {
      cleanup();
      const { container } = render(<WindowBadge state={state} />);
      return [container.textContent, container.querySelector('svg')?.innerHTML];
    });
    expect(drawn.map(([word]) => word)).toEqual(['Not open yet', 'Open', 'Closing', 'Missed', 'Done']);
    expect(new Set(drawn.map(([, shape]) => shape)).size).toBe(states.length);
  });
  it('sum up to the worst, and to nothing where nothing is decided', () => {
    const of = (...states: VerdictState[]) => summarise(states.map((state) => ({ state })));
    expect(of('meets', 'needs decision', 'does not meet')).toBe('does not meet');
    expect(of('meets', 'not yet determinable')).toBe('not yet determinable');
    expect(of('meets', 'needs decision', 'not yet determinable')).toBe('needs decision');
    expect(of()).toBe('not yet determinable');
  });
});
