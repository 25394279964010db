import { saidBy, type LimitKind } from '../kind.js';

export const population: LimitKind = {
  id: 'population',
  name: 'Population group',
  about: 'The group of people studied, in the terms of a database that has such a limit.',
  values: 'chosen',
  fields: ['population', 'populationgroup'],
  ...saidBy({
    'health personnel': [
      'nurse*',
      'hospital staff',
      'ward staff',
      'doctors',
      'midwives',
      'paramedic*',
      'health workers',
    ],
    volunteers: ['volunteer*'],
    students: ['student*'],
    inpatients: ['inpatient*', 'critically ill', 'patients on wards'],
    outpatients: ['outpatient*'],
    carers: ['carer*', 'caregiver*', 'parents'],
    workers: ['worker*', 'employee*', 'drivers'],
  }),
  nearest: 'Name the population in a lane, by headings and words.',
  lacking: 'no group recorded',
};
