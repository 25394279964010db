import { DIALECT_KINDS } from '@even-lantern/core';
import type { NewHandDatabase } from '@even-lantern/contract';
import { Field } from '../../parts/form/Field.js';
import { DescribeDialect } from './DescribeDialect.js';
import { MatchLimits } from './MatchLimits.js';
import { NameField, VocabularyField } from './formFields.js';
import { type Saving, SavingForm, useDatabaseForm } from './DatabaseForm.js';

interface HandFormProps {
  initial: NewHandDatabase;
  saving: Saving;
}

export function HandForm({ initial, saving }: HandFormProps) {
  const form = useDatabaseForm(initial);
  const { watch, register, change, formState } = form;
  const { vocabulary, dialect, limits } = watch();
  return (
    <SavingForm form={form} saving={saving}>
      <div className="grid gap-3 md:grid-cols-2">
        <NameField form={form} />
        <Field
          label="Its release, as its own pages give it (optional)"
          error={formState.errors.release?.message}
        >
          {(attributes) => (
            <input
              className="input input-sm w-full"
              placeholder="such as November 2026"
              {...attributes}
              {...register('release')}
            />
          )}
        </Field>
        <Field label="The syntax nearest to its own">
          {() => (
            <select
              className="select select-sm w-full"
              value={dialect.kind}
              onChange={({ target }) => change({ dialect: { kind: target.value, names: {}, lacks: [] } })}
            >
              {DIALECT_KINDS.filter(({ id }) => id !== 'cql').map(({ id, form: syntax, precedence }) => (
                <option key={id} value={id}>
                  {syntax}: {precedence}
                </option>
              ))}
            </select>
          )}
        </Field>
        <VocabularyField vocabulary={vocabulary} onChange={(chosen) => change({ vocabulary: chosen })} />
      </div>
      <DescribeDialect
        dialect={dialect}
        indexes={null}
        hasVocabulary={vocabulary !== null}
        onChange={(changed) => change({ dialect: changed })}
      />
      <MatchLimits limits={limits ?? []} indexes={null} onChange={(changed) => change({ limits: changed })} />
    </SavingForm>
  );
}
