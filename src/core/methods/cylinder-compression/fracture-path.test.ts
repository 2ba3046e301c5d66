import { describe, expect, it } from 'vitest';
import { FRACTURE_PATH, type FractureType } from './fracture-path';

/** Follows answers by their place and gives where they end. */
function follow(...answers: number[]): string {
  let at = 'fallen';
  for (const answer of answers) {
    const leads = FRACTURE_PATH.find(({ id }) => id === at)?.answers[answer]?.leads;
    if (!leads) return `no answer ${answer} at ${at}`;
    if ('type' in leads) return leads.type;
    if ('first' in leads) return 'first';
    at = leads.ask;
  }
  return at;
}

describe('naming a fracture', () => {
  // The six types in words: ASTM C39/C39M, figure of fracture patterns (from memory).
  it.each([
    ['cones on both ends', [0, 0, 1, 0], '1'],
    ['one cone, vertical cracks', [0, 0, 1, 1], '2'],
    ['columns', [0, 0, 1, 2, 0], '3'],
    ['diagonal that parts', [0, 0, 1, 2, 1, 0], '4'],
    ['diagonal that was two cones', [0, 0, 1, 2, 1, 1], '1'],
    ['side at one end', [0, 0, 0, 0], '5'],
    ['side, end pointed', [0, 0, 0, 1], '6'],
    ['nothing fits', [0, 0, 1, 2, 1, 2], 'other'],
  ] as const)('%s', (_, answers, type) => expect(follow(...answers)).toBe(type));

  it('goes back to the load, or to the brush, before anything is named', () => {
    expect(follow(1)).toBe('first');
    expect(follow(0, 1)).toBe('first');
  });

  it('reaches every type, and leads nowhere that is not there', () => {
    const ids = new Set(FRACTURE_PATH.map(({ id }) => id));
    const leads = FRACTURE_PATH.flatMap(({ answers }) => answers.map((each) => each.leads));
    for (const lead of leads) if ('ask' in lead) expect(ids).toContain(lead.ask);
    const types = new Set(leads.flatMap((lead) => ('type' in lead ? [lead.type] : [])));
    const all: FractureType[] = ['1', '2', '3', '4', '5', '6', 'other'];
    expect([...types].toSorted()).toEqual(all.toSorted());
  });
});
