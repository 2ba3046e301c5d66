'use client';
import { Button } from '@mui/material';
import { FormDialog } from '../form/FormDialog';

/** A truck entered wrongly: its time, volume or name put right, or the whole entry struck out. Always with why. */
export function CorrectLoad({
  loadId,
  name,
  zone,
  arrivedAt,
  volume,
  truck,
}: {
  loadId: string;
  name: string;
  zone: string;
  arrivedAt: string;
  volume: string;
  truck: string;
}) {
  return (
    <FormDialog
      title={`Correct truck ${name}`}
      useCase="correct-load"
      fixed={{ loadId }}
      zone={zone}
      initial={{ what: 'correct', arrivedAt, volume, truck }}
      fields={[
        {
          name: 'what',
          label: 'What is wrong',
          options: [
            { value: 'correct', label: 'It came, but not as entered' },
            { value: 'strike out', label: 'It never came, or was entered twice' },
          ],
        },
        { name: 'arrivedAt', label: 'On site at', type: 'datetime' },
        { name: 'volume', label: 'Volume' },
        { name: 'truck', label: 'Truck', optional: true },
        {
          name: 'reason',
          label: 'Why',
          type: 'lines',
          help: 'What was there before stays on record. Readings of its samples are corrected in their own tests.',
        },
      ]}
      shape={({ what, ...values }) =>
        what === 'strike out' ? { loadId: values.loadId, reason: values.reason, strikeOut: true } : values
      }
      submit="Correct it"
      done="Corrected."
      button={(open) => (
        <Button size="small" onClick={open}>
          Correct
        </Button>
      )}
    />
  );
}
