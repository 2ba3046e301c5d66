// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { InstrumentProps } from '../kit';
import { CountStones } from './CountStones';

vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));
vi.mock('../../parts/Notice', () => ({ useNotice: () => () => undefined }));
afterEach(cleanup);

function counted(photos: readonly { id: string; name: string }[], readOnly = false) {
  const saved: Record<string, string> = {};
  const props = {
    run: { readings: { save: (field: string, text: string) => Object.assign(saved, { [field]: text }) } },
    data: { photos: photos.map((each) => ({ ...each, place: null })), canWrite: true, lock: null },
    readOnly,
  } as unknown as InstrumentProps;
  render(<CountStones {...props} />);
  return saved;
}
const grid = (): HTMLElement => {
  const found = screen.getByRole('application');
  found.getBoundingClientRect = () => ({ left: 0, top: 0, width: 600, height: 600 }) as DOMRect;
  return found;
};
/** The browser of the tests has no pointer events: a mouse stands in. */
const pointer = (type: 'down' | 'move' | 'up', at: MouseEventInit = {}): void => {
  fireEvent(grid(), new MouseEvent(`pointer${type}`, { bubbles: true, ...at }));
};
const press = (keys: string): void => {
  const field = grid();
  for (const key of keys) fireEvent.keyDown(field, { key });
};

describe('stones counted on a photograph', () => {
  it('wants a photograph first', () => {
    counted([]);
    expect(screen.queryByRole('application')).toBeNull();
    expect(screen.getByText(/Photograph the face at a right angle first/u)).toBeTruthy();
  });
  it('by the keys: a mark, and on to the next point', () => {
    const saved = counted([{ id: 'a', name: 'face.jpg' }]);
    press('sspsn');
    expect(screen.getByRole('status').textContent).toBe(
      'Upper third 3 of 149, 2 % on stone; lower third 0 of 150, 0 %.',
    );
    fireEvent.click(screen.getByRole('button', { name: 'Take the counts' }));
    expect(saved).toEqual({ topStone: '3', topPoints: '149', bottomStone: '0', bottomPoints: '150' });
  });
  it('by pressing, and the same press again takes it back', () => {
    counted([{ id: 'a', name: 'face.jpg' }]);
    // The first point of the upper third: half a column in, half a row down, in a face that begins at 4 %.
    const at = { clientX: 600 * (0.04 + 0.92 / 30), clientY: 600 * (0.04 + 0.92 / 60), buttons: 1 };
    const grown = { ...at, clientX: at.clientX + 5 * ((600 * 0.92) / 15) };
    pointer('down', grown);
    expect(screen.getByRole('status').textContent).toContain('Upper third 1 of 150');
    pointer('down', grown);
    expect(screen.getByRole('status').textContent).toContain('Upper third 0 of 150');
    expect((screen.getByRole('button', { name: 'Take the counts' }) as HTMLButtonElement).disabled).toBe(
      true,
    );
  });
  it('goes with the corners of the face, and stays put at its ends', () => {
    counted([{ id: 'a', name: 'face.jpg' }]);
    pointer('down', { clientX: 24, clientY: 24 });
    pointer('move', { clientX: 120, clientY: 120, buttons: 1 });
    pointer('up');
    const corner = screen.getByRole('application').querySelector('rect');
    expect(Number(corner?.getAttribute('x'))).toBeCloseTo(111, 6);
    const field = grid();
    for (let step = 0; step < 30; step += 1) fireEvent.keyDown(field, { key: 'ArrowDown' });
    press('s');
    expect(screen.getByRole('status').textContent).toContain('lower third 1 of 150');
  });
  it('is not there where nothing can be written', () => {
    counted([{ id: 'a', name: 'face.jpg' }], true);
    expect(screen.queryByText('Count on the photograph')).toBeNull();
  });
});
