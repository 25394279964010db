import { formatCount } from '@even-lantern/core';
import type { ExploredServer, NewSruDatabase } from '@even-lantern/contract';
import { CircleCheck, TriangleAlert } from 'lucide-react';
import { Field } from '../../parts/form/Field.js';
import { CallBudgetFields } from './CallBudgetFields.js';
import { DescribeDialect } from './DescribeDialect.js';
import { MatchLimits } from './MatchLimits.js';
import { NameField, VocabularyField } from './formFields.js';
import { type Saving, SavingForm, useDatabaseForm } from './DatabaseForm.js';

interface ServerFormProps {
  /** what the server tells of itself */
  found: Pick<ExploredServer, 'indexes' | 'recordSchemas'> & { test: ExploredServer['test'] | null };
  initial: NewSruDatabase;
  saving: Saving;
}

/** What was found of an SRU server, as a proposal, or what was said of it before. */
export function ServerForm({ found: { indexes, recordSchemas, test }, initial, saving }: ServerFormProps) {
  const form = useDatabaseForm(initial);
  const { watch, register, change } = form;
  const { recordSchema, version, vocabulary, dialect, limits, budget } = watch();
  const readable = recordSchemas.find((each) => each.name === recordSchema)?.readable ?? true;
  const chooseVocabulary = (chosen: string | null) => {
    const { heading, headings } = dialect.names;
    const index = chosen === null ? null : (heading ?? headings ?? null);
    change({ vocabulary: chosen, dialect: { ...dialect, names: { ...dialect.names, heading: index } } });
  };
  return (
    <SavingForm form={form} saving={saving}>
      {test !== null && <FirstSearch test={test} />}
      <div className="grid gap-3 md:grid-cols-2">
        <NameField form={form} />
        <VocabularyField vocabulary={vocabulary} onChange={chooseVocabulary} />
        <Field label="Records come as">
          {() => (
            <select className="select select-sm w-full" {...register('recordSchema')}>
              {recordSchemas.map((schema) => (
                <option key={schema.name} value={schema.name}>
                  {schema.title}
                  {schema.readable ? '' : ' (cannot be read here)'}
                </option>
              ))}
              {recordSchemas.every((schema) => schema.name !== recordSchema) && (
                <option value={recordSchema}>{recordSchema === 'mods' ? 'MODS' : recordSchema}</option>
              )}
            </select>
          )}
        </Field>
        <p className="flex flex-col gap-1">
          <span className="small-head">SRU version</span>
          <span className="py-1">{version}</span>
        </p>
      </div>
      {!readable && (
        <p className="problem">Records of this kind cannot be read here: choose MODS or Dublin Core.</p>
      )}
      <DescribeDialect
        dialect={dialect}
        indexes={indexes}
        hasVocabulary={vocabulary !== null}
        onChange={(changed) => change({ dialect: changed })}
      />
      <MatchLimits
        limits={limits ?? []}
        indexes={indexes}
        onChange={(changed) => change({ limits: changed })}
      />
      {budget !== undefined && (
        <section aria-label="How much it may be asked" className="flex flex-col gap-2">
          <CallBudgetFields budget={budget} onChange={(changed) => change({ budget: changed })} />
          <p className="quiet text-sm">
            Each count of a line is one call. Ask whoever runs the server how many are welcome; the proposal
            is cautious.
          </p>
        </section>
      )}
    </SavingForm>
  );
}

function FirstSearch({ test: { query, hits, error, record } }: Pick<ExploredServer, 'test'>) {
  if (hits === null) {
    return (
      <p className="problem flex gap-2">
        <TriangleAlert className="mt-0.5 h-4 w-4 shrink-0" aria-label="Trouble" />
        <span>
          A first search, <code className="font-mono">{query}</code>, was refused: {error} Look at which index
          words are searched in.
        </span>
      </p>
    );
  }
  return (
    <p className="flex gap-2">
      <CircleCheck className="text-success mt-0.5 h-4 w-4 shrink-0" aria-hidden="true" />
      <span>
        A first search, <code className="font-mono">{query}</code>, found <b>{formatCount(hits)}</b>{' '}
        {hits === 1 ? 'record' : 'records'}
        {record === null ? '.' : <>; the first is “{record.title}”.</>}
      </span>
    </p>
  );
}
