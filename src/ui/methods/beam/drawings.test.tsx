// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { seedOf, simulatedBreak } from '@/core/press';
import { BeamArrivalBench } from '../beam-arrival/Bench';
import { BendBench } from '../bend/Bench';
import { BrokenBeam, BrokenFace } from './BrokenBeam';
import { TensionFace } from './TensionFace';

afterEach(cleanup);

const [LEFT, RIGHT, WIDTH] = [70, 490, 560];
const ZONES = { span: 18, unit: 'in', inside: 6, least: 5.1 };
const circles = (container: HTMLElement): number[] =>
  [...container.querySelectorAll('circle')].map((each) => Number(each.getAttribute('cx')));

describe('the face in tension', () => {
  it('has what was measured at its place on the span', () => {
    const { container } = render(<TensionFace values={{ ...ZONES, places: '7.2,,9' }} />);
    const [first = 0, last = 0] = circles(container);
    expect(first).toBeCloseTo(LEFT + (7.2 / 18) * (RIGHT - LEFT), 6);
    expect(last).toBeCloseTo((LEFT + RIGHT) / 2, 6);
    expect(circles(container)).toHaveLength(2);
  });
  it('names the third, the least that counts, and the span', () => {
    render(<TensionFace values={{ ...ZONES, places: '' }} />);
    for (const text of ['6', '5.1', '12', '18 in']) expect(screen.getByText(text)).toBeDefined();
  });
  it('has no zones where the method has none', () => {
    const { container } = render(<TensionFace values={{ span: 450, unit: 'mm', places: ',,' }} />);
    expect(container.querySelectorAll('text')).toHaveLength(0);
    expect(circles(container)).toEqual([]);
  });
  it.each([
    // Pressed at these shares of the drawing across and down: the field, and the distance to the nearer support.
    [LEFT + (7.5 / 18) * (RIGHT - LEFT), 26, 'a1', '7.5'],
    [LEFT + (7.5 / 18) * (RIGHT - LEFT), 60, 'a2', '7.5'],
    [LEFT + (12 / 18) * (RIGHT - LEFT), 94, 'a3', '6'],
    [LEFT + (7.52 / 18) * (RIGHT - LEFT), 94, 'a3', '7.5'],
  ])('takes a press at %d, %d as %s %s', (x, y, line, text) => {
    const take = vi.fn();
    const { container } = render(<TensionFace values={{ ...ZONES, places: '' }} take={take} />);
    const svg = container.querySelector('svg') as SVGSVGElement;
    const high = Number(svg.getAttribute('viewBox')?.split(' ')[3]);
    svg.getBoundingClientRect = () => ({ left: 0, top: 0, width: WIDTH, height: high }) as DOMRect;
    fireEvent(
      screen.getByTestId('tension-face'),
      new MouseEvent('pointerdown', { bubbles: true, clientX: x, clientY: y }),
    );
    expect(take).toHaveBeenCalledExactlyOnceWith(line, text);
  });
  it('takes nothing where nothing can be written', () => {
    const { container } = render(<TensionFace values={{ ...ZONES, places: '' }} />);
    expect((container.querySelector('svg') as SVGSVGElement).style.cursor).toBe('default');
  });
});

describe('a beam that a simulated press broke', () => {
  it('has its break where its label puts it', () => {
    const { container } = render(
      <BrokenBeam
        label="S-1-F"
        prepared={{}}
        picture={{ kind: 'beam', values: { span: 18, unit: 'in', loading: 'third' } }}
      />,
    );
    const [upper] = simulatedBreak(seedOf('S-1-F'), 'third').edges;
    const path = [...container.querySelectorAll('path')].at(-1)?.getAttribute('d') ?? '';
    expect(Number(path.slice(1).split(' ')[0])).toBeCloseTo(30 + upper * 560, 3);
  });
  it.each([
    ['in', 18, ['0', '2', '18']],
    ['mm', 450, ['0', '50', '450']],
  ] as const)('has a rule in %s', (unit, span, marks) => {
    render(<BrokenFace edges={[0.4, 0.41, 0.42]} span={span} unit={unit} />);
    for (const mark of marks) expect(screen.getByText(mark)).toBeDefined();
  });
});

describe('a beam on arrival', () => {
  const faces = (seen: string) =>
    render(
      <BeamArrivalBench picture={{ kind: 'faces', values: { length: 21, depth: 6, unit: 'in', seen } }} />,
    );
  it('says what the dashed lines are while nothing is marked', () => {
    faces('');
    expect(screen.getByText(/where it should break/u)).toBeDefined();
  });
  it('has each thing on its face, and names each kind once', () => {
    const bare = faces('').container.querySelectorAll('rect').length;
    cleanup();
    const { container } = faces('front=honeycomb/2/1.5/1,top=void/14/0.3/0.3,front=honeycomb/9/1/');
    expect(container.querySelectorAll('rect')).toHaveLength(bare + 3);
    expect(screen.getByText('Honeycomb, Void')).toBeDefined();
  });
});

describe('the curve of bending', () => {
  it('says where it will stand before there is a record', () => {
    render(<BendBench picture={{ kind: 'bend', values: { curve: null } }} />);
    expect(screen.getByText(/as soon as the machine’s file is kept/u)).toBeDefined();
  });
});
