import { joiResolver } from '@hookform/resolvers/joi';
import type { ObjectSchema } from 'joi';
import { useForm, type DefaultValues, type FieldValues, type UseFormReturn } from 'react-hook-form';

/** A form of several fields, checked by the schema that the server checks what is sent with. */
export function useJoiForm<Values extends FieldValues>(
  schema: ObjectSchema<Values>,
  defaultValues: DefaultValues<Values>,
): UseFormReturn<Values> {
  return useForm<Values>({
    resolver: joiResolver(schema, { abortEarly: false, errors: { wrap: { label: false } } }),
    defaultValues,
    // Not when a field is left: what is told then moves the button that is just being pressed.
    mode: 'onSubmit',
  });
}
