import type { ReactNode } from 'react';

/** One field of a form in a dialog. */
export interface FormField {
  readonly name: string;
  readonly label: string;
  readonly type?: 'text' | 'number' | 'date' | 'datetime' | 'password' | 'email' | 'lines' | 'checks';
  readonly help?: string;
  /** To choose one of, or with `checks` any number of. */
  readonly options?: readonly { readonly value: string; readonly label: string }[];
  /** Sent only when it holds something. */
  readonly optional?: boolean;
  /** Seldom asked: stands behind a button until it is wanted, holds something or is wrong. */
  readonly rare?: boolean;
}

/** What a form in a dialog is made of. */
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
  /** What came of it, to be read or handed on before the dialog is closed. */
  readonly shows?: (data: Record<string, unknown>) => ReactNode;
  /** Where to go afterwards; the page is renewed when there is nowhere to go. */
  readonly then?: (data: Record<string, unknown>) => string | undefined;
}
