'use client';
import { Button } from '@mui/material';
import { useState } from 'react';
import type { System } from '@/core/quantity';
import { FormDialog } from '../form/FormDialog';
import { newId } from '../ids';

/** A truck with its ticket, as it comes. A scanner types the ticket's number. */
export function AddLoad({
  placementId,
  system,
  zone,
  now,
  volume,
}: {
  placementId: string;
  system: System;
  zone: string;
  now: string;
  volume: string;
}) {
  const [clientId, setClientId] = useState('');
  return (
    <FormDialog
      title="Truck on site"
      useCase="add-load"
      fixed={{ placementId, clientId }}
      initial={{ arrivedAt: now, volume }}
      zone={zone}
      fields={[
        { name: 'ticket', label: 'Ticket', help: 'Its number, typed or scanned.' },
        { name: 'truck', label: 'Truck', optional: true },
        { name: 'volume', label: 'Volume', help: system === 'US' ? 'As 9 yd³.' : 'As 7 m³.' },
        { name: 'arrivedAt', label: 'On site at', type: 'datetime' },
      ]}
      submit="Enter the truck"
      done="Truck entered."
      button={(open) => (
        <Button
          variant="contained"
          onClick={() => {
            setClientId(newId());
            open();
          }}
        >
          Truck on site
        </Button>
      )}
    />
  );
}
