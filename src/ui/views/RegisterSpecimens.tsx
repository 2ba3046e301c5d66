'use client';
import { Button } from '@mui/material';
import { FormDialog } from '../form/FormDialog';
import type { FormField } from '../form/form-props';

/** A way that specimens come to a sample, as its form asks for it. */
export interface RegisterWay {
  readonly id: string;
  readonly begin: string;
  readonly title: string;
  readonly intro: string;
  readonly done: string;
  readonly countHelp: string;
  readonly count: number;
  readonly place: string;
  readonly forms: readonly { readonly value: string; readonly label: string }[];
  readonly fields: readonly FormField[];
  readonly initial: Readonly<Record<string, string>>;
}

/** Specimens that come to a sample with names of their own: cores, prisms, pieces. */
export function RegisterSpecimens({
  sampleId,
  zone,
  way,
  first,
}: {
  sampleId: string;
  zone: string;
  way: RegisterWay;
  /** True where it is what a sample of this material waits for. */
  first: boolean;
}) {
  const { id, begin, title, intro, done, countHelp, count, place, forms, fields, initial } = way;
  return (
    <FormDialog
      title={title}
      useCase="register-specimens"
      // One form is no question.
      fixed={{ sampleId, how: id, ...(forms.length === 1 ? { form: forms[0]?.value } : {}) }}
      zone={zone}
      initial={{ ...initial, form: forms[0]?.value ?? '', count: String(count) }}
      fields={[
        ...(forms.length > 1 ? [{ name: 'form', label: 'Form', options: forms }] : []),
        { name: 'count', label: 'How many', type: 'number', help: countHelp },
        ...fields,
        { name: 'place', label: place, optional: true },
      ]}
      shape={({ sampleId: of, how, form, count: many, place: where, ...told }) => ({
        ...{ sampleId: of, how, form, count: many, told },
        ...(where ? { place: where } : {}),
      })}
      intro={intro}
      submit="Register them"
      done={done}
      button={(open) => (
        <Button onClick={open} {...(first ? { variant: 'outlined' } : { color: 'secondary' })}>
          {begin}
        </Button>
      )}
    />
  );
}
