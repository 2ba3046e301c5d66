// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { CELLS, paintingText } from '@/core/methods/pull/painted';
import type { InstrumentProps } from '../kit';
import { PullOffBench } from './Bench';
import { DollyChooser } from './DollyChooser';
import { FacePainter } from './FacePainter';
import { Layers } from './Layers';

vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));
vi.mock('../../parts/Notice', () => ({ useNotice: () => () => undefined }));
afterEach(cleanup);

function painter(values: Record<string, string> = {}, readOnly = false) {
  const saved: [string, string][] = [];
  const props = {
    run: {
      readings: { values, save: (field: string, text: string) => saved.push([field, text]) },
    },
    data: { photos: [{ id: 'a', name: 'face.jpg', place: null }], canWrite: true, lock: null },
    readOnly,
  } as unknown as InstrumentProps;
  render(<FacePainter {...props} />);
  return saved;
}
const disk = (): HTMLElement => {
  const found = screen.getByRole('application');
  found.getBoundingClientRect = () => ({ left: 0, top: 0, width: 600, height: 600 }) as DOMRect;
  found.setPointerCapture = () => undefined;
  return found;
};
const pointer = (type: 'down' | 'move' | 'up', x: number, y: number): void => {
  fireEvent(disk(), new MouseEvent(`pointer${type}`, { bubbles: true, clientX: x, clientY: y, buttons: 1 }));
};
const said = (): string => screen.getByRole('status').textContent ?? '';
const choose = (name: string): boolean => fireEvent.click(screen.getByRole('button', { name }));

describe('the face that is painted', () => {
  it('takes its shares into the table once nothing is blank, in place of what stood there', () => {
    const saved = painter({ 'face/old/plane': 'C', 'face/old/share': '100' });
    expect(said()).toBe('nothing yet; 100 % still blank.');
    expect((screen.getByRole('button', { name: 'Take these shares' }) as HTMLButtonElement).disabled).toBe(
      true,
    );
    choose('A/B');
    pointer('down', 300, 300);
    pointer('move', 340, 300);
    pointer('up', 340, 300);
    expect(said()).toMatch(/^A\/B \d %; \d+ % still blank/u);
    choose('A');
    choose('The rest is A');
    expect(said()).toMatch(/^A 9\d %, A\/B \d %\.$/u);
    choose('Take these shares');
    expect(saved.slice(0, 2)).toEqual([
      ['face/old/plane', ''],
      ['face/old/share', ''],
    ]);
    const shares = saved.filter(([field]) => field.endsWith('/share')).map(([, text]) => Number(text));
    expect(shares.reduce((sum, each) => sum + each, 0)).toBe(100);
    expect(saved.at(-1)?.[0]).toBe('painted');
  });
  it('is worked by the keys, one step back at a time', () => {
    painter();
    fireEvent.keyDown(disk(), { key: '2' });
    fireEvent.keyDown(disk(), { key: ' ' });
    expect(said()).toContain('A/B');
    fireEvent.keyDown(disk(), { key: 'ArrowRight' });
    fireEvent.keyDown(disk(), { key: '9' });
    fireEvent.keyDown(disk(), { key: ' ' });
    expect(said()).toContain('Y ');
    choose('One step back');
    expect(said()).not.toContain('Y ');
    choose('One step back');
    expect(said()).toBe('nothing yet; 100 % still blank.');
  });
  it('is rubbed out, begun anew, and comes back as it was kept', () => {
    painter({ painted: paintingText(CELLS.map(() => 'B')) });
    expect(said()).toBe('B 100 %.');
    choose('Rub out');
    pointer('down', 300, 300);
    expect(said()).toContain('still blank');
    choose('Begin anew');
    expect(said()).toBe('nothing yet; 100 % still blank.');
  });
  it('is painted over its photograph, where three handles say where it lies', () => {
    painter();
    fireEvent.mouseDown(screen.getByRole('combobox'));
    fireEvent.click(screen.getByRole('option', { name: 'face.jpg' }));
    expect(screen.getByText(/Drag the three handles/u)).toBeDefined();
    // The middle is a handle there: it is moved, nothing is painted.
    pointer('down', 300, 300);
    pointer('move', 200, 200);
    pointer('up', 200, 200);
    expect(said()).toBe('nothing yet; 100 % still blank.');
    pointer('down', 230, 230);
    expect(said()).toContain('A ');
  });
  it('is not there for who may not write', () => {
    painter({}, true);
    expect(screen.queryByRole('application')).toBeNull();
  });
});

describe('the bench of a pull', () => {
  const values = (over: object) => ({
    face: 'A 60|A:B 40',
    total: 100,
    stress: '340',
    unit: 'psi',
    said: 'Weakest plane A.',
    cored: false,
    concrete: true,
    rate: '',
    painted: null,
    ...over,
  });
  it('shows the face in its shares and says when they are no whole', () => {
    render(<PullOffBench picture={{ kind: 'pull-off', values: values({}) }} />);
    expect(screen.getByRole('img', { name: 'Face: A 60 %, A/B 40 %' })).toBeDefined();
    cleanup();
    render(<PullOffBench picture={{ kind: 'pull-off', values: values({ face: 'A 60', total: 60 }) }} />);
    expect(screen.getByText('The shares come to 60 %.')).toBeDefined();
    cleanup();
    render(
      <PullOffBench picture={{ kind: 'pull-off', values: values({ face: '', total: 0, stress: null }) }} />,
    );
    expect(screen.getByText(/name every plane with its share/u)).toBeDefined();
  });
  it('shows the face as it was painted, cell by cell', () => {
    const painted = paintingText(CELLS.map(({ x }) => (x < 0 ? 'A' : 'Y')));
    const { container } = render(
      <PullOffBench picture={{ kind: 'pull-off', values: values({ painted }) }} />,
    );
    expect(container.querySelectorAll('[aria-label^="Face"] rect[fill*="face-"]').length).toBe(CELLS.length);
  });
  it('cuts through as many coats as there are planes', () => {
    const layers = (face: Parameters<typeof Layers>[0]['face'], coats: number) => {
      cleanup();
      return render(<Layers face={face} concrete={false} coats={coats} />).container.textContent;
    };
    expect(layers([['A', 100]], 1)).not.toContain('second coat');
    expect(layers([['C', 100]], 1)).toContain('C second coat');
    expect(layers([['C/D', 100]], 1)).toContain('D third coat');
    expect(layers([['A', 100]], 2)).toContain('A metal');
  });
});

describe('which dolly', () => {
  const chooser = (tester: string, verifiedTo?: string) => {
    const props = {
      run: { readings: { values: { tester } } },
      data: {
        system: 'SI',
        setup: {
          equipment: [{ number: 'T', kind: 'pull-off tester', ...(verifiedTo ? { verifiedTo } : {}) }],
          facts: { pullOffLeast: '1.4 MPa' },
        },
      },
      readOnly: false,
    } as unknown as InstrumentProps;
    render(<DollyChooser {...props} />);
  };
  it('is the largest that breaks in the range of the tester', () => {
    chooser('T', '6.283 kN');
    // Half as much again as is asked for, 2.1 MPa: two thirds of the 3.2 MPa that 50 mm reaches.
    expect(screen.getByRole('row', { name: /2 in .* take this one/u })).toBeDefined();
    expect(screen.getByRole('row', { name: /20 mm .* too low in its range/u })).toBeDefined();
    fireEvent.change(screen.getByLabelText('Expected, MPa'), { target: { value: '15' } });
    expect(screen.getByRole('row', { name: /20 mm .* take this one/u })).toBeDefined();
    fireEvent.change(screen.getByLabelText('Expected, MPa'), { target: { value: '70' } });
    expect(screen.getByText(/None of the common dollies/u)).toBeDefined();
  });
  it('wants a tester that says how far it reaches', () => {
    chooser('T');
    expect(screen.getByText(/whose certificate says how far it reaches/u)).toBeDefined();
  });
});
