'use client';
import { Button } from '@mui/material';
import { useState } from 'react';
import type { System } from '@/core/quantity';
import { FormDialog } from '../form/FormDialog';
import { newId } from '../ids';

/** A truck with its ticket, as it comes. A scanner types the ticket's number. */
export function AddLoad({
  lotId,
  system,
  zone,
  now,
  volume,
  ticket = '',
  truck = '',
}: {
  lotId: string;
  system: System;
  zone: string;
  now: string;
  volume: string;
  /** As the plant's file says it. */
  ticket?: string;
  truck?: string;
}) {
  const [clientId, setClientId] = useState('');
  return (
    <FormDialog
      title="Truck on site"
      useCase="add-load"
      fixed={{ lotId, clientId }}
      initial={{ arrivedAt: now, volume, ticket, truck }}
      zone={zone}
      fields={[
        { name: 'ticket', label: 'Ticket', help: 'Its number, typed or scanned.' },
        { name: 'truck', label: 'Truck', optional: true },
        {
          name: 'volume',
          label: 'Volume',
          optional: true,
          help: `${system === 'US' ? 'As 9 yd³.' : 'As 7 m³.'} Empty: as the plant’s file says it.`,
        },
        { name: 'arrivedAt', label: 'On site at', type: 'datetime' },
      ]}
      submit="Enter the truck"
      done="Truck entered."
      button={(open) => (
        <Button
          variant={ticket ? 'outlined' : 'contained'}
          size={ticket ? 'small' : 'medium'}
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
