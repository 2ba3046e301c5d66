'use client';
import { Typography } from '@mui/material';
import type { PropsWithChildren } from 'react';
import { limitsOf } from '@/core/methods';
import { cementSetting } from '@/core/methods/cement-setting';
import { MixBeats } from '../../cement/MixBeats';
import { InFolder, wholeFolder } from '../holding';
import type { BenchProps, InstrumentProps } from '../kit';
import { NextFall } from './NextFall';
import { settingPicture } from './picture';
import { SettingPlot } from './SettingPlot';

/** The falls of a ring over time. */
function FallsOverTime({ picture }: BenchProps) {
  const drawn = settingPicture(picture);
  return drawn.falls.length === 0 ? (
    <Typography color="text.secondary">
      The falls stand here as they are read, with the mark they are held against.
    </Typography>
  ) : (
    <SettingPlot picture={drawn} />
  );
}

/** The beats of the paste; the moment of the water is stamped by the press. */
function MixPaste({ run, data, readOnly }: InstrumentProps) {
  if (readOnly) return null;
  return (
    <MixBeats
      mixed="paste"
      school={limitsOf(data.setup).profile}
      begun={(at) => run.readings.save('contactAt', at)}
    />
  );
}

const FOLDER = wholeFolder({
  method: cementSetting,
  Bench: FallsOverTime,
  leads: { mix: MixPaste, falls: NextFall },
  benchStays: true,
});

export function InCementSetting({ children }: PropsWithChildren) {
  return <InFolder folder={FOLDER}>{children}</InFolder>;
}
