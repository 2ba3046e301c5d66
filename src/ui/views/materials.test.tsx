// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Material } from '@/core/material/contract';
import { findMaterial } from '@/core/materials/registry';
import type { ReportContent } from '@/core/report';
import { type Asked, standInServer } from '@/testing/sheet';
import { NoticeProvider } from '../parts/Notice';
import { LotTable } from './LotTable';
import { NewLot } from './NewLot';
import { NewSample } from './NewSample';
import { NewSpecification } from './NewSpecification';
import { RegisterSpecimens, type RegisterWay } from './RegisterSpecimens';
import { ReportBody } from './ReportBody';
import { registerWays } from './register-ways';
import { SamplesTable } from './SamplesTable';
import { SpecificationTable } from './SpecificationTable';

const router = { push: vi.fn(), refresh: vi.fn() };
vi.mock('next/navigation', () => ({ useRouter: () => router }));

let asked: readonly Asked[] = [];
beforeEach(() => {
  router.push.mockClear();
  asked = standInServer({
    'take-sample': () => new Response(JSON.stringify({ sampleId: 'sample-9' })),
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const rock = findMaterial('rock') as Material;
const JOB = {
  id: 'job',
  name: 'Quay',
  zone: 'America/New_York',
  system: 'SI',
  now: '2031-06-12T10:00',
  specifications: [
    { id: 'r1', name: 'R1 v1, Gneiss', material: 'rock' },
    { id: 'm1', name: 'M1 v1, Walls', material: 'concrete' },
  ],
} as const;

async function open(form: ReactNode, button: string): Promise<ReturnType<typeof within>> {
  render(<NoticeProvider>{form}</NoticeProvider>);
  fireEvent.click(screen.getByRole('button', { name: button }));
  return within(await screen.findByRole('dialog', undefined, { timeout: 5000 }));
}
function choose(dialog: ReturnType<typeof within>, label: string, option: string | RegExp): void {
  fireEvent.mouseDown(dialog.getByRole('combobox', { name: label }));
  fireEvent.click(screen.getByRole('option', { name: option }));
}
const type = (dialog: ReturnType<typeof within>, label: string | RegExp, text: string): boolean =>
  fireEvent.change(dialog.getByLabelText(label), { target: { value: text } });

describe('forms made out of a material', () => {
  it('ask for a rock unit by the fields of rock, and send them under what is asked', async () => {
    const form = await open(<NewSpecification jobId="job" system="SI" material="rock" />, 'New rock unit');
    type(form, 'Code', 'R7');
    type(form, 'What it is for', 'Sockets');
    type(form, /^Strength expected/u, '105 MPa');
    type(form, /^Mean index at least/u, '2.4');
    fireEvent.click(form.getByRole('button', { name: 'Enter the rock unit' }));
    await waitFor(() =>
      expect(asked.at(-1)).toMatchObject({
        useCase: 'create-specification',
        data: {
          jobId: 'job',
          material: 'rock',
          code: 'R7',
          asked: { expectedStrength: '105 MPa', leastIndex: '2.4', law: 'own' },
        },
      }),
    );
    expect(await screen.findByText(/held against: mean index, lowest index/u)).toBeDefined();
  });
  it('offer for a lot only what is specified of its material', async () => {
    const form = await open(<NewLot material="rock" jobs={[JOB]} />, 'New borehole or face');
    fireEvent.mouseDown(form.getByRole('combobox', { name: 'Rock unit' }));
    expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual(['R1 v1, Gneiss']);
    fireEvent.click(screen.getByRole('option', { name: 'R1 v1, Gneiss' }));
    type(form, 'Borehole or face', 'BH-2');
    type(form, /^Depth from/u, '12.6');
    choose(form, 'Weathering', /^II, slightly/u);
    fireEvent.click(form.getByRole('button', { name: 'Enter the borehole or face' }));
    await waitFor(() =>
      expect(asked.at(-1)?.data).toMatchObject({
        specificationId: 'r1',
        title: 'BH-2',
        about: { depthFrom: '12.6', weathering: 'II' },
      }),
    );
  });
  it('are not there for a material that nothing is specified of', () => {
    const { container } = render(<NewLot material="rock" jobs={[{ ...JOB, specifications: [] }]} />);
    expect(container.textContent).toBe('');
  });
  it('take a group with what it is, and go to it', async () => {
    const form = await open(
      <NewSample lotId="lot" material="rock" system="SI" zone="America/New_York" now="2031-06-12T10:00" />,
      'New group',
    );
    choose(form, 'Pieces', 'Irregular lumps');
    choose(form, 'Load to the fabric', 'Along one plane');
    fireEvent.click(form.getByRole('button', { name: 'Enter the group' }));
    await waitFor(() => expect(router.push).toHaveBeenCalledWith('/samples/sample-9'));
    expect(asked.at(-1)?.data).toMatchObject({
      lotId: 'lot',
      about: { pieces: 'rock-lump', direction: 'parallel' },
      clientId: expect.stringMatching(/^[0-9a-f-]{36}$/u),
    });
  });
  it('register as many pieces as are still wanted, never more than sixty', async () => {
    const form = await open(
      <RegisterSpecimens
        sampleId="s"
        zone="America/New_York"
        way={
          registerWays(rock, {
            about: { pieces: 'rock-core' },
            asked: {},
            system: 'SI',
            wanted: 87,
          })[0] as RegisterWay
        }
        first
      />,
      'Register pieces',
    );
    expect(form.getByLabelText('How many')).toHaveProperty('value', '60');
    fireEvent.click(form.getByRole('button', { name: 'Register them' }));
    await waitFor(() =>
      expect(asked.at(-1)?.data).toEqual({
        sampleId: 's',
        how: 'pieces',
        form: 'rock-core',
        count: 60,
        told: {},
      }),
    );
  });
});

describe('lists under the words of their material', () => {
  it('of what is specified', () => {
    render(
      <SpecificationTable
        material={rock}
        specifications={[
          { id: 'r1', code: 'R1', version: 2, title: 'Gneiss', asked: { leastIndex: '2.1 MPa', law: 'is' } },
        ]}
      />,
    );
    expect(screen.getByRole('columnheader', { name: 'Rock unit' })).toBeDefined();
    expect(screen.getByRole('cell', { name: 'R1 v2' })).toBeDefined();
    expect(screen.getByRole('cell', { name: 'at least 2.1 MPa' })).toBeDefined();
    expect(screen.getByRole('link', { name: 'Verdicts' }).getAttribute('href')).toBe('/verdicts/r1');
  });
  it('of lots, each to its own place', () => {
    const row = {
      placement: { id: 'p', number: 4, title: 'BH-4', startsAt: new Date(0), about: { rock: 'gneiss' } },
      mixCode: 'R1',
    };
    const { rerender } = render(<LotTable material={rock} rows={[row]} zone="UTC" />);
    expect(screen.getByRole('link', { name: 'BH-4' }).getAttribute('href')).toBe('/lots/p');
    expect(screen.getByText('rock: gneiss')).toBeDefined();
    rerender(<LotTable material={findMaterial('concrete') as Material} rows={[row]} zone="UTC" />);
    expect(screen.getByRole('link', { name: 'BH-4' }).getAttribute('href')).toBe('/placements/p');
  });
  it('of samples, with what they came to and how that stands', () => {
    const sets = [
      {
        key: 'a',
        title: 'Mean index of the group',
        test: { text: '3.05', unit: 'MPa', state: 'pending' },
        verdicts: [
          {
            criterion: 'rock-index-mean',
            state: 'does not meet',
            sentence: 'Does not meet: mean 3.05 MPa against 3.2 MPa.',
          },
        ],
        derived: { said: [['Estimated strength', '70 MPa'] as const] },
      },
    ] as const;
    const base = { about: { pieces: 'rock-core', direction: 'none' }, cells: ['BH-4'] };
    render(
      <SamplesTable
        material={rock}
        more={['Lot']}
        rows={[
          { id: 's1', label: 'Q-001', sets, ...base },
          {
            id: 's2',
            label: 'Q-002',
            sets: [{ ...sets[0], test: { ...sets[0].test, text: null } }],
            ...base,
          },
        ]}
      />,
    );
    const [, first, second] = screen.getAllByRole('row');
    expect(first?.textContent).toContain('Core, No fabric seen');
    expect(first?.textContent).toContain('3.05 MPa so far');
    expect(first?.textContent).toContain('Estimated strength: 70 MPa');
    expect(first?.textContent).toContain('Does not meet: mean 3.05 MPa');
    expect(second?.textContent).toContain('not tested yet');
  });
});

it('a report on the screen has the sections of its content, its working folded', () => {
  const line = {
    symbol: 'x',
    name: 'Mean',
    formula: '(a + b) / 2',
    substituted: '(1 + 2) / 2',
    value: '1.5',
    unit: 'MPa',
    rounding: null,
    rounded: '1.5',
    carry: 'unrounded',
    source: 'a standard',
  } as const;
  const content: ReportContent = {
    schema: 2,
    title: 'Report of tests on rock',
    subject: 'group Q-001',
    words: { onSample: 'Tests of the group', onSpecimens: 'Pieces' },
    job: { number: 'Q', name: 'Quay', owner: 'Trust', location: 'Shore' },
    facts: [['Rock', 'gneiss']],
    tests: [],
    waiting: [],
    discarded: [],
    sets: [
      {
        title: 'Mean index of the group',
        cure: '',
        value: '3.05',
        unit: 'MPa',
        state: 'tested',
        strength: false,
        used: ['a', 'b'],
        trimmed: [],
        leftOut: [],
        said: [['Estimated strength', '70 MPa; estimated, not tested']],
        plot: {
          title: 'Load over size',
          x: 'De², mm²',
          y: 'P, kN',
          points: [
            { label: 'L1', x: 1300, y: 4.3 },
            { label: 'L2', x: 6900, y: 18.4 },
          ],
          line: { a: -2.1, b: 0.88 },
          doubts: [],
        },
        lines: [line],
        remarks: [],
      },
    ],
    together: null,
    verdicts: [{ criterion: 'rock-index-mean', state: 'meets', sentence: 'Meets: mean 3.05 MPa.' }],
    rounding: 'half to even',
    methods: ['ASTM D5731 point load'],
    limitsRevision: 3,
    recalledLimits: true,
    statements: ['The results relate only to the items tested.'],
  };
  const { container } = render(<ReportBody content={content} />);
  expect(screen.getAllByRole('heading', { level: 2 }).map(({ textContent }) => textContent)).toEqual([
    'What was tested',
    'What follows from it',
    'Against the project’s criteria',
    'Departures and remarks',
    'Equipment',
    'Load over size',
    'Working',
    'Methods and rules',
  ]);
  expect(screen.getByText('70 MPa; estimated, not tested')).toBeDefined();
  expect(screen.getByText('Meets: mean 3.05 MPa.')).toBeDefined();
  expect(screen.getByText(/Some limits are recalled from memory/u)).toBeDefined();
  expect(screen.getByRole('img', { name: 'P, kN over De², mm² of 2 specimens' })).toBeDefined();
  expect(container.querySelectorAll('circle')).toHaveLength(2);
  expect(container.querySelector('details')?.open).toBe(false);
});
