'use client';
import { Button } from '@mui/material';
import { Empty } from '@/ui/parts/Card';

export default function ErrorPage({ reset }: { reset: () => void }) {
  return (
    <Empty
      action={
        <Button variant="contained" onClick={reset}>
          Try again
        </Button>
      }
    >
      This page could not be put together. Nothing that was saved is lost. Try again; if it stays so, tell
      whoever runs this installation.
    </Empty>
  );
}
