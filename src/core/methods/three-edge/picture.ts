import type { Limits } from '../../limits';
import { classOf, wallOf } from '../../pipe/product';
import type { LoadAt } from '../../pipe/rates';
import { spacingOf } from '../../pipe/strips';
import type { Exact } from '../../quantity';
import type { Picture } from '../contract';
import { readMeasure } from '../fields';
import { packedRows } from '../picture-rows';
import { saidIn } from '../pipe/said';
import type { RunSetup } from '../setup';
import type { CrackRead } from './crack';
import type { ThreeEdgeInput } from './input';
import { type PipeLoads, UNITS_OF } from './loads';

interface PictureAbout {
  readonly input: ThreeEdgeInput;
  readonly setup: RunSetup;
  readonly loads: PipeLoads | undefined;
  readonly log: { readonly streamed: boolean; readonly log: readonly LoadAt[] } | undefined;
  readonly cracks: readonly CrackRead[];
  readonly says: string | undefined;
  readonly limits: Limits;
}

/** A record of many readings is drawn by as many as a chart shows. */
const MOST_POINTS = 240;

/** What is drawn of a pipe between three edges: its section on the strips, its load over time, its barrel unrolled. */
export function pictureOf(about: PictureAbout): Picture {
  const { input, setup, loads, log, cracks, says, limits } = about;
  const { system } = input;
  const { bore, force } = UNITS_OF[system];
  const said = saidIn(setup);
  const number = (value: Exact | undefined): number | null => value?.toNumber() ?? null;
  const of = (name: string): number | null => number(readMeasure(input, name)?.value);
  const span = said.asked('span', bore);
  const spacing = span && spacingOf(span.div(system === 'US' ? 12 : 1000), limits, system);
  const every = Math.max(1, Math.ceil((log?.log.length ?? 0) / MOST_POINTS));
  const last = (log?.log.length ?? 0) - 1;
  const points = (log?.log ?? []).filter((_, place) => place % every === 0 || place === last);
  return {
    kind: 'three-edge',
    values: {
      unit: bore,
      force,
      shape: classOf(said)?.shape ?? null,
      span: number(span),
      rise: number(said.asked('rise', bore)),
      wall: number(wallOf(said, system)),
      apart: of('apart1') ?? of('apart3'),
      apartLeast: number(spacing?.least),
      apartMost: number(spacing?.most),
      off: of('off1'),
      beamWide: of('beamWide'),
      beamHigh: of('beamHigh'),
      overall: loads ? loads.overall.times(system === 'US' ? 12 : 1000).toNumber() : null,
      turn: number(loads?.rates.turn),
      design: number(loads?.design ?? loads?.ultimate),
      ultimate: number(loads?.ultimate),
      first: number(loads?.rates.first),
      second: number(loads?.rates.second),
      goal: number(loads?.rates.design),
      gap: number(limits.number('teb.probe-gap', system)),
      log: packedRows(
        points.map(({ seconds, load }) => [seconds.toNumber(), Number(load.toSignificantDigits(6))]),
      ),
      cracks: packedRows(
        cracks.map((crack) => [
          crack.where,
          crack.probes.map(({ at, enters }) => `${at}:${enters ? 1 : 0}`).join(' '),
          crack.says.says,
          crack.says.says === 'it is the crack' ? `${crack.says.from} ${crack.says.to}` : '',
          crack.says.says === 'probe on' ? crack.says.at.join(' ') : '',
        ]),
      ),
      says: says ?? null,
    },
  };
}
