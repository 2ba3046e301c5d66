// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { DaySet } from '@/core/waits/day';
import { standing } from './due-sets';
import { Ribbon } from './Ribbon';
import { SiteWaits } from './SiteWaits';
import { Today } from './Today';

const router = { push: vi.fn(), refresh: vi.fn() };
vi.mock('next/navigation', () => ({ useRouter: () => router }));

const HOUR = 3_600_000;
const NOW = Date.UTC(2031, 5, 11, 14);
const NONE = { sets: 0, specimens: 0 };
const NOTHING_HIDDEN = { open: NONE, missed: NONE, coming: NONE, done: NONE };

/** A set of specimens at the press, hours from now. */
const set = (over: Partial<DaySet> = {}, labels: readonly string[] = ['QY-001-A', 'QY-001-B']): DaySet => ({
  key: `${over.what ?? 'Break'} ${labels.join()}`,
  lane: 'press',
  what: 'Break',
  ageHours: 672,
  about: '',
  place: 'Wall A',
  detail: 'M1',
  href: '/samples/s1',
  zone: 'America/New_York',
  opensAt: NOW - 10 * HOUR,
  bestAt: NOW,
  closesAt: NOW + 30 * HOUR,
  doneAt: null,
  provisional: null,
  specimens: labels.map((label) => ({ id: label, label, doneAt: null })),
  ...over,
});
const BOX = set(
  {
    lane: 'field',
    what: 'Collect the specimens',
    ageHours: null,
    href: '/field/s2',
    place: 'Bay C',
    bestAt: null,
    closesAt: NOW + 3 * HOUR,
    provisional: 'by an estimated set',
  },
  [],
);
const TANK = set(
  {
    lane: 'tank',
    what: 'Stir the tank',
    ageHours: null,
    href: '/gear/storage',
    place: 'Tank 1',
    detail: '',
    zone: null,
    bestAt: null,
    closesAt: null,
  },
  [],
);
const CAPS = set(
  {
    lane: 'ends',
    what: 'Caps hard',
    ageHours: null,
    href: '/runs/r1',
    opensAt: NOW + HOUR,
    closesAt: null,
    bestAt: null,
    doneAt: NOW + HOUR,
  },
  ['QY-001-C'],
);

beforeEach(() => {
  vi.useFakeTimers({ now: NOW, toFake: ['Date', 'setInterval', 'clearInterval'] });
  router.push.mockClear();
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe(): void {}
      disconnect(): void {}
    },
  );
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const draw = (sets: readonly DaySet[], over: Partial<Parameters<typeof Today>[0]> = {}) => {
  vi.setSystemTime(over.now ?? NOW);
  return render(
    <Today
      sets={sets}
      hidden={NOTHING_HIDDEN}
      closing={0.2}
      fresh={[]}
      now={NOW}
      zone="UTC"
      canTest
      {...over}
    />,
  );
};
/** The rows of a list of the day, each as the words of its cells. */
const rows = (title: string): string[][] => {
  const card = screen.getByRole('heading', { name: title }).closest('section, div[class*="Paper"]');
  return within(card as HTMLElement)
    .getAllByRole('row')
    .slice(1)
    .map((row) =>
      within(row)
        .getAllByRole('cell')
        .map((cell) => cell.textContent ?? ''),
    );
};

describe('the headline of the day', () => {
  const headline = (): string => screen.getByRole('heading', { level: 1 }).textContent ?? '';
  it('counts the specimens to break, whatever else waits, and what was not sent', () => {
    draw([set(), BOX], { hidden: { ...NOTHING_HIDDEN, open: { sets: 4, specimens: 12 } } });
    expect(headline()).toBe('14 specimens to break, first within 3 h');
  });
  it('counts one that waits twice once', () => {
    draw([set(), set({ what: 'Break it before it dries', key: 'wet' })]);
    expect(headline()).toMatch(/^2 specimens to break/u);
  });
  it('says that other things wait where none is to be broken', () => {
    draw([BOX]);
    expect(headline()).toBe('1 thing waits, first within 3 h');
  });
  it('says no time where nothing closes', () => {
    draw([TANK]);
    expect(headline()).toBe('1 thing waits');
  });
  it('says when the next opens, or that nothing waits', () => {
    draw([CAPS]);
    expect(headline()).toBe('Nothing to do now; next window opens in 1 h');
    cleanup();
    draw([]);
    expect(headline()).toBe('Nothing is waiting');
    expect(screen.getByText('Nothing waits now.')).toBeDefined();
  });
  it('tells what was missed, with what was not sent', () => {
    draw([set({ closesAt: NOW - HOUR })], {
      hidden: { ...NOTHING_HIDDEN, missed: { sets: 2, specimens: 6 } },
    });
    expect(screen.getByText('3 missed')).toBeDefined();
    expect(screen.getByRole('link', { name: 'and 2 more sets' }).getAttribute('href')).toBe(
      '/today?show=missed',
    );
  });
});

describe('the lists of the day', () => {
  it('stand by the time that is left; what has no end stands last', () => {
    draw([TANK, set(), BOX]);
    expect(rows('Open now').map(([left, , what]) => [left, what])).toEqual([
      ['3 h', 'Collect the specimensBy an estimated set'],
      ['1 d 6 h', 'Break at 28 d'],
      ['until done', 'Stir the tank'],
    ]);
  });
  it('offer each specimen that waits to who may test it, and only names it to others', () => {
    const half = set({}, ['QY-001-A', 'QY-001-B']);
    const [first, second] = half.specimens;
    const sets = [{ ...half, specimens: [first, { ...second, doneAt: NOW - HOUR }] as DaySet['specimens'] }];
    draw(sets);
    expect(screen.getAllByRole('link', { name: /^Break / }).map((link) => link.getAttribute('href'))).toEqual(
      ['/bench/QY-001-A'],
    );
    cleanup();
    draw(sets, { canTest: false });
    expect(screen.queryAllByRole('link', { name: /^Break / })).toHaveLength(0);
  });
  it('lead to where one goes on: the sample in the field, the batch, the tanks', () => {
    draw([BOX, TANK, CAPS]);
    const hrefs = (name: string) =>
      screen
        .getAllByRole('link', { name })
        // The ribbon's brackets are links too, without an address.
        .flatMap((link) => link.getAttribute('href') ?? []);
    expect(hrefs('Collect the specimens')).toEqual(['/field/s2']);
    expect(hrefs('Stir the tank')).toEqual(['/gear/storage']);
    expect(hrefs('Wall A')).toEqual(['/runs/r1']);
  });
  it('say of what ends by itself when that is, before it is, and list it as done after', () => {
    draw([CAPS]);
    expect(rows('Coming in two days')).toEqual([
      ['opens in 1 h', 'Not open yet', 'Caps hard', 'QY-001-C', 'Wall AM1', 'Wed 11 Jun 11:00'],
    ]);
    cleanup();
    draw([CAPS], { now: NOW + 2 * HOUR });
    expect(rows('Done in the last day').map(([, , what]) => what)).toEqual(['Caps hard']);
  });
  it('say from when to when, the day once where it is one', () => {
    draw([BOX, set()]);
    expect(rows('Open now').map((cells) => cells.at(-1))).toEqual([
      'Wed 11 Jun 00:00 to 13:00',
      'Wed 11 Jun 00:00 to Thu 12 Jun 16:00',
    ]);
  });
  it('name the samples whose tests are still open, while they are few', () => {
    const fresh = Array.from({ length: 9 }, (_, index) => ({
      sampleId: `s${index}`,
      number: index + 1,
      job: 'QY',
      open: index === 0 ? ['slump', 'air'] : ['slump', 'air', 'density', 'temperature'],
      sampledAt: NOW - 12 * 60_000,
    }));
    draw([], { fresh });
    expect(screen.getByText('taken 12 min ago, waits for slump, air')).toBeDefined();
    expect(screen.getAllByText('taken 12 min ago, 4 tests open')).toHaveLength(7);
    expect(screen.getByRole('link', { name: 'and 1 more samples with open tests' })).toBeDefined();
  });
});

describe('the ribbon', () => {
  const ribbon = (sets: readonly DaySet[], now = NOW) =>
    render(<Ribbon sets={standing(sets, now, 0.2)} now={now} zone="America/New_York" />);
  const titles = (): string[] =>
    screen.getAllByRole('link').map((link) => link.querySelector('title')?.textContent ?? '');
  it('has a lane for each place of work where something waits, in the order of the work', () => {
    const { container } = ribbon([TANK, set(), BOX, CAPS]);
    const lanes = [...container.querySelectorAll('text')].map(({ textContent }) => textContent);
    const named = lanes.filter((text) => ['Field', 'Ends', 'Press', 'Tank'].includes(text ?? ''));
    expect(named).toEqual(['Field', 'Ends', 'Press', 'Tank']);
  });
  it('says of each bracket what, where, from when to when and what is left', () => {
    ribbon([set(), TANK]);
    expect(titles()).toEqual([
      'Wall A, break at 28 d: Wed 11 Jun 00:00 to Thu 12 Jun 16:00, open, 1 d 6 h left',
      'Tank 1, stir the tank: Wed 11 Jun 00:00, open',
    ]);
  });
  it('leads to its set by a press and by Enter', () => {
    ribbon([set()]);
    fireEvent.click(screen.getByRole('link'));
    fireEvent.keyDown(screen.getByRole('link'), { key: 'Enter' });
    fireEvent.keyDown(screen.getByRole('link'), { key: 'a' });
    expect(router.push.mock.calls).toEqual([['/samples/s1'], ['/samples/s1']]);
  });
  it('leaves out what lies before and after what it shows', () => {
    ribbon([
      set({ opensAt: NOW - 60 * HOUR, closesAt: NOW - 40 * HOUR }),
      set({ opensAt: NOW + 80 * HOUR, closesAt: NOW + 90 * HOUR }),
    ]);
    expect(screen.queryAllByRole('link')).toHaveLength(0);
  });
  it('puts brackets that overlap under one another, and those apart into one row', () => {
    const rowsOf = (sets: readonly DaySet[]) => {
      const { container } = ribbon(sets);
      return new Set(
        [...container.querySelectorAll('g[role="link"] rect')].map((each) => each.getAttribute('y')),
      ).size;
    };
    const early = set({ opensAt: NOW - 18 * HOUR, closesAt: NOW - 2 * HOUR }, ['QY-002-A']);
    const late = set({ opensAt: NOW + 10 * HOUR, closesAt: NOW + 30 * HOUR }, ['QY-003-A']);
    expect(rowsOf([early, late])).toBe(1);
    cleanup();
    expect(rowsOf([early, set({ opensAt: NOW - 10 * HOUR, closesAt: NOW + 5 * HOUR }, ['QY-004-A'])])).toBe(
      2,
    );
  });
  it('marks the best moment where there is one, and closes no bracket that stays open', () => {
    const paths = (sets: readonly DaySet[]) =>
      [...ribbon(sets).container.querySelectorAll('g[role="link"] path')].map(
        (each) => each.getAttribute('d') ?? '',
      );
    expect(paths([set()])).toHaveLength(2);
    cleanup();
    const [bracket, ...rest] = paths([TANK]);
    expect(rest).toEqual([]);
    expect(bracket?.match(/M/gu)).toHaveLength(1);
  });
});

describe('what waits on site', () => {
  const wait = {
    key: 'k',
    sampleId: 's2',
    label: 'QY-002',
    lot: 'Bay C',
    zone: 'America/New_York',
    what: 'Collect the specimens',
    opensAt: NOW - HOUR,
    closesAt: NOW + 3 * HOUR,
    provisional: 'by an estimated set' as string | null,
  };
  const said = (over: Partial<typeof wait>, now = NOW): string => {
    cleanup();
    render(<SiteWaits waits={[{ ...wait, ...over }]} now={now} />);
    return screen.getByRole('listitem').textContent ?? '';
  };
  it('says within what time, since when, and what is not sure of it', () => {
    expect(said({})).toBe(
      'QY-002Bay C[▬ ] Collect the specimens within 3 hSince Wed 11 Jun 09:00, by Wed 11 Jun 13:00. By an estimated set.',
    );
    expect(screen.getByRole('link', { name: 'QY-002' }).getAttribute('href')).toBe('/field/s2');
  });
  it('says before when it is not to be done, and by how much it is over', () => {
    expect(said({ opensAt: NOW + HOUR, provisional: null })).toMatch(
      /\[ \] Collect .*Not before Wed 11 Jun 11:00, by/u,
    );
    expect(said({ closesAt: NOW - 90 * 60_000 })).toMatch(/✕ Collect the specimens: over by 1 h 30 min/u);
  });
});
