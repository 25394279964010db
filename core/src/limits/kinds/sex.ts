import { saidBy, type LimitKind } from '../kind.js';

export const sex: LimitKind = {
  id: 'sex',
  name: 'Sex',
  about: 'Studies with people of this sex among them. A study of both is found by either.',
  values: 'chosen',
  fields: ['sex', 'gender'],
  alike: [
    ['female', 'women', 'f'],
    ['male', 'men', 'm'],
  ],
  ...saidBy({
    female: ['women', 'woman', 'female*', 'girl*', 'mother*', 'pregnan*', 'midwi*'],
    male: ['men', 'man', 'male', 'males', 'boy', 'boys', 'father*'],
  }),
  nearest: 'Name the group in a lane, by words.',
  lacking: 'no sex recorded',
};
