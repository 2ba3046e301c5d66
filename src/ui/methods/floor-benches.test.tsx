// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { usableInput } from '@/core/methods';
import type { Facts } from '@/core/methods/facts';
import { findMethod } from '@/core/methods/registry';
import { GluingBench } from './gluing/Bench';
import { ImpedanceBench } from './impedance/Bench';
import type { BenchProps } from './kit';
import { ServiceRecordBench } from './service-record/Bench';
import { SlabEmissionBench } from './slab-emission/Bench';
import { SlabSheetBench } from './slab-sheet/Bench';
import { SurfaceProfileBench } from './surface-profile/Bench';

afterEach(cleanup);

/** What a method draws of its example, with some of its readings changed. */
function picture(id: string, over: object = {}, facts?: Facts): BenchProps['picture'] {
  const method = findMethod(id);
  if (!method) throw new Error(id);
  const { input, setup } = method.example('US');
  const typed = usableInput(method, { ...input, ...over }).input;
  return method.compute(typed, { ...setup, ...(facts ? { facts: { ...setup.facts, ...facts } } : {}) })
    .picture;
}

describe('the bench of a dish', () => {
  it('lays the hours over those that count, with what it came to', () => {
    render(<SlabEmissionBench picture={picture('slab-emission')} />);
    expect(screen.getByRole('img', { name: /65\.50 h open, 1\.5 g taken up/u })).toBeDefined();
    expect(screen.getByText('counts')).toBeDefined();
    expect(screen.getByText(/^\d\.\d lb\/1000 ft²\/24 h$/u)).toBeDefined();
  });
  it('says that it was closed too early, and when it will be while it is open', () => {
    render(
      <SlabEmissionBench picture={picture('slab-emission', { closedAt: '2031-03-05T03:00:00-05:00' })} />,
    );
    expect(screen.getByText('does not count')).toBeDefined();
    cleanup();
    render(
      <SlabEmissionBench picture={picture('slab-emission', { closedAt: undefined, massAfter: undefined })} />,
    );
    expect(screen.getByText(/closed between 60 and 72 hours/u)).toBeDefined();
  });
});

describe('the bench of a sheet', () => {
  it('says what was seen, and what could not be', () => {
    const said = (over: object): string => {
      cleanup();
      return render(<SlabSheetBench picture={picture('slab-sheet', over)} />).container.textContent ?? '';
    };
    expect(said({})).toContain('None seen. It clears no coating by itself.');
    expect(said({ drops: 'drops' })).toContain('Moisture is there');
    expect(said({ sheetTemperature: '78' })).toContain('inconclusive');
    expect(said({ drops: undefined })).toContain('dry while you watch');
  });
  it('draws drops, a dark patch and the humidity from which it shows any', () => {
    const { container } = render(
      <SlabSheetBench picture={picture('slab-sheet', { drops: 'drops', concrete: 'dark' })} />,
    );
    expect(container.querySelectorAll('circle').length).toBeGreaterThan(4);
    expect(screen.getByText(/^9\d %$/u)).toBeDefined();
  });
});

describe('the bench of a profile', () => {
  it('draws ten chips, the rougher the larger, and each spot between its two', () => {
    const { container } = render(<SurfaceProfileBench picture={picture('surface-profile')} />);
    expect(screen.getByRole('img', { name: '3 spots compared. Chips 3 to 5 are asked for.' })).toBeDefined();
    const heights = [...container.querySelectorAll('path')].map((path) => {
      const ys = (path.getAttribute('d') ?? '')
        .split(/[ML]/u)
        .filter(Boolean)
        .map((pair) => Number(pair.split(',')[1]));
      return Math.max(...ys) - Math.min(...ys);
    });
    expect(heights).toHaveLength(10);
    expect(heights.at(-1)).toBeGreaterThan(5 * (heights[0] ?? 0));
  });
  it('asks nothing where nothing is asked', () => {
    render(<SurfaceProfileBench picture={picture('surface-profile', {}, { layer: '' })} />);
    expect(screen.getByText(/^Nothing is asked of it/u)).toBeDefined();
  });
});

describe('the bench of a survey', () => {
  it('puts the highest first, says where to measure, and accepts nothing', () => {
    const { container } = render(<ImpedanceBench picture={picture('impedance')} />);
    const texts = [...container.querySelectorAll('text')].map(({ textContent }) => textContent);
    expect(texts.slice(0, 2)).toEqual(['sea wall', '4.9  measure: highest']);
    expect(screen.getByText(/nothing is accepted by it/u)).toBeDefined();
  });
  it('is empty before the first place', () => {
    render(<ImpedanceBench picture={picture('impedance', { places: [] })} />);
    expect(screen.getByRole('img', { name: '0 places, the highest first' })).toBeDefined();
  });
});

describe('the bench of a batch of glue', () => {
  it('says when it is hard at the coldest, for how many, and how many a mix serves', () => {
    render(<GluingBench picture={picture('gluing')} />);
    expect(screen.getByText(/^The last one can be pulled from Monday 3 March/u)).toBeDefined();
    expect(screen.getByText(/1 of 1 set\. The mix lives 60 min: 24 dollies/u)).toBeDefined();
  });
  it('says nothing where it does not harden at all', () => {
    render(<GluingBench picture={picture('gluing', { surfaceTemperature: '40' })} />);
    expect(screen.getByText('…')).toBeDefined();
    expect(screen.queryByText(/can be pulled/u)).toBeNull();
  });
});

describe('the bench of the air', () => {
  const air = (rows: readonly string[]) =>
    picture('service-record', { record: ['time,t_f,rh', ...rows].join('\n') });
  const row = (hour: number, fahrenheit: number): string =>
    `2031-03-01T${String(hour).padStart(2, '0')}:00:00-05:00,${fahrenheit},45`;
  it('says since when it was held, and draws what broke it', () => {
    const rows = [0, 1, 2, 3, 4, 9, 10, 11].map((hour) => row(hour, hour === 2 ? 60 : 70));
    const { container } = render(<ServiceRecordBench picture={air(rows)} />);
    expect(screen.getByText('Held since Sat 1 Mar 09:00, up to Sat 1 Mar 11:00.')).toBeDefined();
    // The strip, what is held, an hour outside, and the gap.
    expect(container.querySelectorAll('rect')).toHaveLength(4);
  });
  it('says that it is not held at its end, and what it wants while there is nothing', () => {
    render(
      <ServiceRecordBench picture={air([0, 1, 2, 3, 4].map((hour) => row(hour, hour > 0 ? 60 : 70)))} />,
    );
    expect(screen.getByText('The air is not held at the end of the record.')).toBeDefined();
    cleanup();
    render(<ServiceRecordBench picture={air([])} />);
    expect(screen.getByText(/A line for each reading of the air/u)).toBeDefined();
  });
});
