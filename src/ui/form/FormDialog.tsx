'use client';
import { type ComponentType, useState } from 'react';
import { useNotice } from '../parts/Notice';
import type { FormProps } from './form-props';

type OpenForm = ComponentType<FormProps & { close: () => void }>;

/** A button that opens a form for one use case. Errors appear at their fields; nothing typed is lost. */
export function FormDialog(props: FormProps) {
  const notice = useNotice();
  const [Form, setForm] = useState<OpenForm | null>(null);
  const open = async (): Promise<void> => {
    try {
      const { OpenForm } = await import('./OpenForm');
      setForm(() => OpenForm);
    } catch {
      notice('The form could not be fetched: is there a network? Try again.');
    }
  };
  return (
    <>
      {props.button(() => void open())}
      {Form ? <Form {...props} close={() => setForm(null)} /> : null}
    </>
  );
}
