import { type HeatRecord, MODEL_CEMENT, modelPower } from '../../calorimetry';

/** Hours of the record, a row every six minutes, and those at which water met the cement of its two cells. */
const LENGTH = 76;
const STEP = 0.1;
const CONTACTS = [2, 2.2];

/** A record of two cells of 10 g of paste of one cement, made up: mW. */
export function exampleHeat(start = '2031-09-12T12:00:00.000Z'): HeatRecord {
  const hours = Array.from({ length: LENGTH / STEP + 1 }, (_, row) => Number((row * STEP).toFixed(6)));
  const cement = { ...MODEL_CEMENT, fineness: 350 };
  return {
    kind: 'heat',
    version: 1,
    rows: hours.length,
    start,
    length: LENGTH,
    averaged: false,
    unit: 'mW',
    troubles: [],
    hours,
    channels: CONTACTS.map((contact, place) => ({
      name: 'AB'[place] ?? '',
      // Eight grams of cement are in twelve of paste at half as much water.
      values: hours.map((at) =>
        Number(
          (0.05 + (at < contact + 0.1 ? 0 : (8 + 0.03 * place) * modelPower(cement, at - contact))).toFixed(
            4,
          ),
        ),
      ),
      rows: hours.length,
      noise: 0.01,
      clipped: [],
    })),
  };
}
