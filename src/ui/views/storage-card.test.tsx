// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { StorageCard } from './StorageCard';

vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));
afterEach(cleanup);

const day = (date: number): number => Date.UTC(2031, 8, date, 15);
const card = (
  reviews: Parameters<typeof StorageCard>[0]['storage']['reviews'],
  kind: 'cabinet' | 'tank' = 'cabinet',
) =>
  render(
    <StorageCard
      storage={{
        ...{ id: 's', name: 'Cement cabinet', kind, rows: 1, columns: 2, count: 0, lime: null },
        ...{ duties: [], specimens: [], reviews },
      }}
      canWrite={false}
      now={new Date(day(20)).toISOString()}
      zone="utc"
    />,
  );

describe('a place with its log', () => {
  it('says what it is, and each review with what it was outside of', () => {
    card([
      { at: day(12), extremes: '66 °F to 74 °F', outside: '69.8 to 77 °F', byName: 'A. Person' },
      { at: day(5), extremes: '72 °F to 74 °F', outside: null, byName: null },
    ]);
    expect(screen.getByText(/^Moist cabinet, 0 specimens/u)).toBeTruthy();
    expect(screen.getByText('Log of its temperatures (2)')).toBeTruthy();
    expect(
      screen.getByText(/12 Sept 2031: 66 °F to 74 °F ✕ outside 69\.8 to 77 °F, A\. Person/u),
    ).toBeTruthy();
    expect(screen.getByText(/5 Sept 2031: 72 °F to 74 °F$/u)).toBeTruthy();
  });
  it('without a review has no log', () => {
    card([], 'tank');
    expect(screen.getByText(/^Tank, 0 specimens/u)).toBeTruthy();
    expect(screen.queryByText(/^Log/u)).toBeNull();
  });
});
