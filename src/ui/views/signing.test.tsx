// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ReportActions, type Signing } from './ReportActions';

vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => {} }) }));
const sent: [string, unknown][] = [];
vi.mock('../api', () => ({
  perform: async (name: string, data: unknown) => {
    sent.push([name, data]);
    return { ok: true, data: {} };
  },
}));
beforeEach(() => {
  sent.length = 0;
});
afterEach(cleanup);

const MARK = 'a'.repeat(64);
const shown = (signing: Signing | null) =>
  render(
    <ReportActions
      {...{ reportId: 'r', seen: MARK, state: 'draft', canSign: true, hindered: false, codes: [], signing }}
      replaced={false}
    />,
  );
const button = (name: string) => screen.queryByRole('button', { name });

describe('a draft', () => {
  it('that is not theirs to sign cannot be signed', () => {
    shown({ why: 'You made tests that it rests on.', asksReader: false, readers: [] });
    expect(button('Sign')).toHaveProperty('disabled', true);
    expect(button('I have read it')).toBeNull();
  });
  it('of tests that a reviewer made is read by another, who says so for what they were shown', async () => {
    shown({ why: null, asksReader: true, readers: [] });
    expect(button('Sign')).toHaveProperty('disabled', false);
    await act(async () => fireEvent.click(button('I have read it') as HTMLElement));
    expect(sent).toEqual([['read-report', { reportId: 'r', seen: MARK }]]);
  });
  it('that they have read as it is asks for nothing more, what changed since asks again', () => {
    shown({ why: null, asksReader: true, readers: [{ asItIs: true, self: true }] });
    expect(button('I have read it')).toBeNull();
    cleanup();
    shown({ why: null, asksReader: true, readers: [{ asItIs: false, self: true }] });
    expect(button('I have read it')).toBeTruthy();
  });
});
