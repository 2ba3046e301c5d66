// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { TrailTable } from './TrailTable';

afterEach(cleanup);

const ROW = {
  ...{ id: 7, at: 'Mon 3 Mar, 10:12', who: 'A person', useCase: 'save readings', action: 'update' },
  ...{ word: 'reading', of: 'S-001-A', hash: 'ab'.repeat(32), changes: [] },
};

it('shows what stood there struck out before what stands there', () => {
  const change = { field: 'text', before: '58,300', after: '58,400' };
  render(<TrailTable entries={[{ ...ROW, changes: [change] }]} />);
  expect(screen.getByText('58,300').tagName).toBe('DEL');
  expect(screen.getByText('58,400').tagName).toBe('INS');
  expect(screen.getByText('reading, changed')).toBeTruthy();
  expect(screen.getByText('7 abababab')).toBeTruthy();
});

it('what is much is shown when it is asked for; what was done past the application says so', () => {
  const changes = Array.from({ length: 7 }, (_, at) => ({ field: `f${at}`, before: '', after: `v${at}` }));
  render(
    <TrailTable
      entries={[
        { ...ROW, changes },
        { ...ROW, id: 8, useCase: '', hash: '' },
      ]}
    />,
  );
  expect(screen.queryByText('v6')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: '2 more' }));
  expect(screen.getByText('v6')).toBeTruthy();
  expect(screen.getByText('in the database itself')).toBeTruthy();
  expect(screen.getByText('nothing that is read')).toBeTruthy();
});
