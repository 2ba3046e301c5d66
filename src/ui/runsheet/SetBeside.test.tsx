// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import type { ComponentProps } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { SetBeside } from './SetBeside';

const drawn = vi.fn();
vi.mock('../charts/Line', () => ({
  Line: (props: object) => {
    drawn(props);
    return null;
  },
}));
afterEach(() => {
  cleanup();
  drawn.mockClear();
});

const shown = (over: Partial<ComponentProps<typeof SetBeside>> = {}) =>
  render(
    <SetBeside
      members={[
        { id: '1', label: 'S-1-F', strength: '445', here: false },
        { id: '2', label: 'S-1-G', strength: null, here: true },
        { id: '3', label: 'S-1-H', strength: null, here: false },
      ]}
      value="445"
      state="pending"
      unit="psi"
      designated
      findings={[]}
      note="1 of the 2 beams the method asks for."
      verdicts={[]}
      curves={[]}
      axis="s"
      {...over}
    />,
  );
interface Drawn {
  readonly data: { readonly datasets: readonly { readonly data: readonly { x: number; y: number }[] }[] };
  readonly options: { readonly scales: { readonly x: { readonly title: { readonly text: string } } } };
}
const chart = (): Drawn => drawn.mock.calls.at(-1)?.[0] as Drawn;

describe('the set beside a run', () => {
  it('names each with what it has: a strength, this one, or not tested', () => {
    shown();
    const texts = ['S-1-F', 'S-1-G', 'S-1-H'].map(
      (label) => screen.getByText(label).nextElementSibling?.textContent,
    );
    expect(texts).toEqual(['445', 'this one', 'not tested']);
    expect(screen.getByText('Mean 445 psi so far')).toBeDefined();
    expect(screen.getByText(/1 of the 2 beams/u)).toBeDefined();
  });
  it('has no mean where there is none, and is for information where no age is asked of it', () => {
    shown({ value: null, note: null, designated: false });
    expect(screen.queryByText(/Mean/u)).toBeNull();
    expect(screen.getByText('Its set, for information')).toBeDefined();
  });
  it('says what it is held against, in words and by a mark', () => {
    shown({
      state: 'complete',
      verdicts: [
        {
          criterion: 'opening-traffic',
          title: 'Opening to traffic',
          state: 'does not meet',
          sentence: 'Does not meet: mean 427.8 psi against 455 psi.',
        },
      ],
    });
    expect(screen.getByText('Mean 445 psi')).toBeDefined();
    expect(screen.getByText(/Opening to traffic/u)).toBeDefined();
    expect(screen.getByText(/mean 427\.8 psi against 455 psi/u)).toBeDefined();
  });
  it('has no chart without a curve', () => {
    shown();
    expect(drawn).not.toHaveBeenCalled();
  });
  it('lays curves over one another from contact on', () => {
    shown({
      curves: [
        {
          label: 'S-1-F',
          startAt: 2,
          points: [
            [0, 0],
            [2, 10],
            [5, 400],
          ],
        },
      ],
    });
    expect(chart().options.scales.x.title.text).toBe('s from contact');
    expect(chart().data.datasets[0]?.data).toEqual([
      { x: 0, y: 10 },
      { x: 3, y: 400 },
    ]);
  });
  it.each([
    ['mm', 2.54],
    ['in', 0.1],
  ] as const)('lays bent beams over their displacement in %s', (axis, at) => {
    shown({
      axis,
      curves: [
        {
          label: 'S-1-F',
          startAt: 0,
          points: [
            [-0.2, 0],
            [0, 0],
            [2.54, 900],
          ],
        },
      ],
    });
    expect(chart().options.scales.x.title.text).toBe(`displacement, ${axis}`);
    expect(chart().data.datasets[0]?.data).toHaveLength(2);
    expect(chart().data.datasets[0]?.data[1]?.x).toBeCloseTo(at, 10);
  });
});
