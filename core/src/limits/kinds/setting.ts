import { saidBy, type LimitKind } from '../kind.js';

export const setting: LimitKind = {
  id: 'setting',
  name: 'Care setting',
  about:
    'Where care took place. By words it finds works that name the setting, even where they only mention it.',
  values: 'chosen',
  fields: ['caresetting', 'setting'],
  ...saidBy({
    hospital: ['hospital*', 'ward', 'wards', 'inpatient*', 'surgical unit*'],
    'intensive care': ['intensive care', 'critically ill', 'critical care'],
    'emergency care': ['emergency department*', 'emergency care', 'ambulance*', 'paramedic*'],
    'care home': ['care home*', 'nursing home*', 'residential care'],
    maternity: ['maternity', 'birth*', 'labour ward*', 'labor ward*', 'midwi*', 'postnatal'],
    'clinic or practice': ['clinic', 'clinics', 'outpatient*', 'primary care', 'general practice*'],
    community: ['community', 'at home', 'home visit*', 'rural'],
  }),
  nearest: 'Name the setting in a lane of its own, by headings and words.',
  lacking: 'no setting recorded',
};
