import { DateTime } from 'luxon';
import type { Batch } from '@/core/interchange';
import { positionName, type StorageKind } from '@/core/storage';
import { addCard } from '@/server/actions/cards';
import { addStorage, recordDuty } from '@/server/actions/storage';
import type { Actor, UseCase } from '@/server/use-case';
import { CARDS, JOB, type MIXES, type PersonKey, STORAGES } from './scenario';

const DAY = 86_400_000;

/** Carries out a use case as one of the scenario's people. */
export type Act = <I extends object, R>(
  who: PersonKey,
  useCase: UseCase<I, R>,
  data: object,
  at: number | Date,
) => Promise<R>;

/** The certificates of the scenario's people. */
export async function addCards(act: Act, actors: Record<PersonKey, Actor>, now: Date): Promise<void> {
  const today = DateTime.fromJSDate(now, { zone: JOB.zone });
  for (const { person, number, monthsAgo, methods } of CARDS) {
    const issuedOn = today.minus({ months: monthsAgo }).toISODate() ?? '';
    await act(
      'manager',
      addCard,
      { personId: actors[person].id, number, methods: [...methods], issuedOn },
      now,
    );
  }
}

/** Tank and room with their duties, and the places each has to give. */
export async function addStorages(act: Act, now: Date): Promise<Record<StorageKind, Rack>> {
  const racks = { tank: new Rack('', 0, 0), room: new Rack('', 0, 0), cabinet: new Rack('', 0, 0) };
  for (const { duties, ...storage } of STORAGES) {
    const { storageId } = await act('laboratory', addStorage, storage, now);
    for (const [duty, days] of Object.entries(duties)) {
      const extremes = duty === 'recorder-reviewed' ? { lowest: '72.6 °F', highest: '74.3 °F' } : {};
      const at = new Date(now.getTime() - days * DAY).toISOString();
      await act('laboratory', recordDuty, { storageId, duty, at, ...extremes }, now);
    }
    racks[storage.kind] = new Rack(storageId, storage.rows, storage.columns);
  }
  return racks;
}

/** Free places of a room, given out in order and given back when a specimen leaves. */
export class Rack {
  private readonly free: string[];
  private readonly taken = new Map<string, string>();
  constructor(
    readonly storageId: string,
    rows: number,
    columns: number,
  ) {
    this.free = Array.from({ length: rows * columns }, (_, index) =>
      positionName(Math.floor(index / columns), index % columns),
    );
  }

  take(specimenId: string): string {
    const position = this.free.shift() ?? '';
    this.taken.set(specimenId, position);
    return position;
  }

  leave(specimenId: string): void {
    const position = this.taken.get(specimenId);
    if (position) this.free.unshift(position);
    this.taken.delete(specimenId);
  }
}

/** What the plant sends of the trucks still to come: a file of tickets, as it would be dropped on the page. */
export function batchFile(
  mix: (typeof MIXES)[number],
  tickets: readonly string[],
  firstLoadedAt: number,
): string {
  const cubic = (text: string): number => Number(/\d+/u.exec(text)?.[0] ?? 0) * 9;
  const [cement, water] = [cubic(mix.cementitious), cubic(mix.water)];
  const rows = tickets.flatMap((ticket, order) => {
    const loaded = DateTime.fromMillis(firstLoadedAt + order * 9 * 60_000, { zone: JOB.zone });
    const line = (
      name: string,
      type: Batch['materials'][number]['type'],
      design: number,
      off: number,
      rest = ',',
    ) =>
      `${[
        ticket,
        40 + order,
        loaded.toFormat('yyyy-MM-dd HH:mm'),
        9,
        name,
        type,
        design,
        Math.round(design * (1 + off)),
        'lb',
      ].join(',')},${rest}`;
    return [
      line('cement', 'cement', Math.round(cement * 0.8), 0.002 * (order + 1)),
      line('slag', 'scm', Math.round(cement * 0.2), -0.003),
      line('sand', 'fine', 11_360, 0.004 * order, '4.6,1.2'),
      line('stone', 'coarse', 16_140, -0.002, '1.3,0.7'),
      // One truck in the story comes with too much water: seen before it is sampled.
      line('water', 'water', Math.round(water * 0.82), order === 1 ? 0.045 : 0.006),
    ];
  });
  return [
    'ticket,truck,time_loaded,volume,material,type,design,actual,unit,moisture_pct,absorption_pct',
    ...rows,
  ].join('\n');
}
