'use client';
import { Alert } from '@mui/material';
import { durationText } from '@/core/windows/duration-text';
import { useClockOffset } from '../clock';

/** Says that the device’s clock is wrong, and what was done about it. */
export function ClockNotice() {
  const offset = useClockOffset();
  if (offset === 0) return null;
  const seconds = Math.round(Math.abs(offset) / 1000);
  const size = seconds < 90 ? `${seconds} s` : durationText(seconds / 60);
  return (
    <Alert severity="warning" sx={{ mb: 2 }}>
      {`The clock of this device is ${size} ${offset > 0 ? 'slow' : 'fast'}. Stamps are taken by the laboratory’s clock; both times are kept. Set the device right.`}
    </Alert>
  );
}
