import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';
import { fieldsOf } from '@/core/methods';
import { LiveLead } from '../press/LiveLead';
import type { InstrumentProps, MethodFolder } from './kit';

const LoadLog = dynamic(() => import('../press/LoadLog').then((all) => all.LoadLog));
const PressRates = dynamic(() => import('../press/PressRates').then((all) => all.PressRates));
const DialReader = dynamic(() => import('../press/DialReader').then((all) => all.DialReader));
const KeepRecords = dynamic(() => import('../records/KeepRecord').then((all) => all.KeepRecords));
const SpacerView = dynamic(() => import('../press/SpacerView').then((all) => all.SpacerView));

/** What stands above the readings of a step: wanted before the first of them is taken. */
export function leadOf({ method, leads }: MethodFolder, step: string): ComponentType<InstrumentProps> | null {
  return leads?.[step] ?? (method.press?.steps.load === step ? LiveLead : null);
}

/** Instruments that stand below the readings of a step, by the step's name. */
export function instrumentsOf(
  { method, instruments }: MethodFolder,
  step: string,
): readonly ComponentType<InstrumentProps>[] {
  const { press } = method;
  const read = method.steps.find(({ id }) => id === step)?.fields ?? [];
  const records = fieldsOf(method.Input).some(({ kind, name }) => kind === 'record' && read.includes(name));
  const own = instruments?.[step];
  return [
    ...(press?.steps.setup === step ? [SpacerView] : []),
    ...(press?.steps.load === step ? [DialReader, PressRates, LoadLog] : []),
    ...(records ? [KeepRecords] : []),
    ...(own ? [own] : []),
  ];
}
