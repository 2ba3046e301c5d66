// @vitest-environment jsdom
import { cleanup, fireEvent, render } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { useKey } from './use-key';

afterEach(cleanup);

function Page({ name, on, act }: { name: string; on: boolean; act: () => void }) {
  useKey(name, on, act);
  return (
    <>
      <input aria-label="typed" />
      <button type="button">Press</button>
    </>
  );
}

describe('a key that does one thing', () => {
  it('in capitals or not, and not with another key held', () => {
    const act = vi.fn();
    render(<Page name="c" on act={act} />);
    fireEvent.keyDown(window, { key: 'c' });
    fireEvent.keyDown(window, { key: 'C' });
    fireEvent.keyDown(window, { key: 'c', ctrlKey: true });
    fireEvent.keyDown(window, { key: 'd' });
    expect(act).toHaveBeenCalledTimes(2);
  });
  it('not while something is typed, and Enter not on a button that it presses', () => {
    const act = vi.fn();
    const { getByRole, rerender } = render(<Page name="c" on act={act} />);
    fireEvent.keyDown(getByRole('textbox'), { key: 'c' });
    expect(act).not.toHaveBeenCalled();
    rerender(<Page name="Enter" on act={act} />);
    fireEvent.keyDown(getByRole('button'), { key: 'Enter' });
    expect(act).not.toHaveBeenCalled();
    fireEvent.keyDown(document.body, { key: 'Enter' });
    expect(act).toHaveBeenCalledOnce();
  });
  it('only while it may, and always the newest', () => {
    const [before, after] = [vi.fn(), vi.fn()];
    const { rerender } = render(<Page name="s" on={false} act={before} />);
    fireEvent.keyDown(window, { key: 's' });
    rerender(<Page name="s" on act={before} />);
    rerender(<Page name="s" on act={after} />);
    fireEvent.keyDown(window, { key: 's' });
    expect(before).not.toHaveBeenCalled();
    expect(after).toHaveBeenCalledOnce();
  });
});
