// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { findExercise, type Task } from '@/core/drills';
import { ExerciseTask } from './ExerciseTask';

afterEach(cleanup);

const first = (id: string): Task => {
  const [task] = findExercise(id)?.tasks(7) ?? [];
  if (!task) throw new Error(id);
  return task;
};

describe('a task on paper', () => {
  it('asks for a number beside what is known, and takes it as it was typed', () => {
    const answer = vi.fn();
    render(<ExerciseTask task={first('block-rate')} answer={answer} />);
    expect(screen.getByText('Net area')).toBeDefined();
    const take = screen.getByRole('button', { name: 'Take it' });
    expect((take as HTMLButtonElement).disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Rate, lbf/s'), { target: { value: '1,040' } });
    fireEvent.click(take);
    expect(answer).toHaveBeenCalledWith('1,040');
  });
  it('offers its answers by mouse and by their number', () => {
    const answer = vi.fn();
    render(<ExerciseTask task={first('coupon-legal')} answer={answer} />);
    fireEvent.click(screen.getByRole('button', { name: /Too thin/u }));
    fireEvent.keyDown(document.body, { key: '1' });
    expect(answer.mock.calls).toEqual([['thick'], ['legal']]);
  });
});
