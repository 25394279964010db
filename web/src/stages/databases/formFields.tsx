import type { NewDatabase } from '@even-lantern/contract';
import type { Path } from 'react-hook-form';
import { vocabularyApi } from '../../review/api/vocabularyApi.js';
import { Field } from '../../parts/form/Field.js';
import type { DatabaseForm } from './DatabaseForm.js';

interface VocabularyFieldProps {
  vocabulary: string | null;
  onChange: (vocabulary: string | null) => void;
}

export function VocabularyField({ vocabulary, onChange }: VocabularyFieldProps) {
  const { data: vocabularies = [] } = vocabularyApi.useVocabulariesQuery();
  return (
    <label className="flex flex-col gap-1">
      <span className="small-head">Its headings are of</span>
      <select
        className="select select-sm w-full"
        value={vocabulary ?? ''}
        onChange={({ target }) => onChange(target.value === '' ? null : target.value)}
      >
        <option value="">a vocabulary unknown here: headings become words</option>
        {vocabularies.map((each) => (
          <option key={each.id} value={each.id}>
            {each.name}
          </option>
        ))}
        {vocabulary !== null && vocabularies.every(({ id }) => id !== vocabulary) && (
          <option value={vocabulary}>{vocabulary}, which is not there now</option>
        )}
      </select>
    </label>
  );
}

export function NameField<Database extends NewDatabase>({ form }: { form: DatabaseForm<Database> }) {
  const { register, formState } = form;
  const error = formState.errors.name?.message;
  return (
    <Field label="Name" error={typeof error === 'string' ? error : undefined}>
      {(attributes) => (
        <input className="input input-sm w-full" {...attributes} {...register('name' as Path<Database>)} />
      )}
    </Field>
  );
}
