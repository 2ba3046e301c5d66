'use client';
import { type ComponentType, type ReactNode, useState } from 'react';
import { useNotice } from '../parts/Notice';

export interface FormField {
  readonly name: string;
  readonly label: string;
  readonly type?: 'text' | 'number' | 'date' | 'datetime' | 'password' | 'email' | 'lines' | 'checks';
  readonly help?: string;
  /** To choose one of, or with `checks` any number of. */
  readonly options?: readonly { readonly value: string; readonly label: string }[];
  /** Sent only when it holds something. */
  readonly optional?: boolean;
}

export interface FormProps {
  readonly title: string;
  readonly useCase: string;
  readonly fields: readonly FormField[];
  /** Sent along unchanged. */
  readonly fixed?: Readonly<Record<string, unknown>>;
  readonly initial?: Readonly<Record<string, string>>;
  readonly submit: string;
  readonly done: string;
  /** Zone of the wall clock times in this form. */
  readonly zone?: string;
  readonly intro?: ReactNode;
  readonly button: (open: () => void) => ReactNode;
  /** Turns what was typed into what the use case takes, when it is more than the fields themselves. */
  readonly shape?: (values: Record<string, unknown>) => Record<string, unknown>;
  /** Where to go afterwards; the page is renewed when there is nowhere to go. */
  readonly then?: (data: Record<string, unknown>) => string | undefined;
}

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
