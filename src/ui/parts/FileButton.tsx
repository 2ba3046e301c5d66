'use client';
import { Button, type ButtonProps } from '@mui/material';
import type { ReactNode } from 'react';

/** A button that lets a person choose one file. The same file may be chosen again after it was put right. */
export function FileButton({
  accept,
  capture,
  take,
  children,
  ...button
}: Pick<ButtonProps, 'variant' | 'size' | 'disabled' | 'loading' | 'sx'> & {
  /** The kinds of file it offers, as an input of files takes them. */
  accept: string;
  /** The camera that a phone opens instead. */
  capture?: 'environment';
  take: (file: File) => void;
  children: ReactNode;
}) {
  return (
    <Button component="label" {...button}>
      {children}
      <input
        type="file"
        accept={accept}
        capture={capture}
        hidden
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) take(file);
        }}
      />
    </Button>
  );
}
