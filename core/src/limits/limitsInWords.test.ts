import { chosen, limit, years } from '../testing/limitSamples.js';
import { limitFindings, limitText, profilePicture, valuesProblem } from './index.js';

describe('what is wrong with limits', () => {
  test.each([
    ['years', years(2026, 2005), 'run backwards'],
    ['years', years(null, null), 'the first year'],
    ['language', years(2000, 2001), 'takes values'],
    ['language', chosen(), 'at least one'],
    ['humans', chosen('maybe'), 'on or off'],
    ['years', chosen('2000'), 'takes a range'],
  ])('%s %j', (kind, values, message) => {
    expect(valuesProblem(kind, values)).toContain(message);
  });

  test.each([
    ['years', years(2005, null)],
    ['language', chosen('English')],
    ['humans', chosen('yes')],
  ])('%s %j can be', (kind, values) => {
    expect(valuesProblem(kind, values)).toBeNull();
  });

  test('years to come and contradictions are told where they are; what is off contradicts nothing', () => {
    const first = limit('years', years(2000, 2010), { id: 'a' });
    const second = limit('years', years(2011, null), { id: 'b' });
    expect(limitFindings([first, second], 2026)).toMatchObject([
      { limitId: 'b', message: expect.stringContaining('contradicts') as string },
    ]);
    expect(limitFindings([first, { ...second, on: false }], 2026)).toEqual([]);
    expect(limitFindings([limit('years', years(2030, null))], 2026)[0]?.message).toContain('still to come');
    const ages = [
      limit('ageGroup', chosen('child'), { id: 'a' }),
      limit('ageGroup', chosen('adult'), { id: 'b' }),
    ];
    expect(limitFindings(ages, 2026)[0]?.message).toContain('values of both');
    const same = [
      limit('language', chosen('English'), { id: 'a' }),
      limit('language', chosen('english', 'German'), { id: 'b' }),
    ];
    expect(limitFindings(same, 2026)[0]?.message).toContain('within both');
  });

  test('limits are said in words', () => {
    expect(limitText(limit('years', years(2005, 2026)))).toBe('Years of publication 2005 to 2026');
    expect(limitText(limit('years', years(2005, null)))).toBe('Years of publication from 2005');
    expect(limitText(limit('years', years(null, 2005)))).toBe('Years of publication up to 2005');
    expect(limitText(limit('years', years(2005, 2005)))).toBe('Years of publication 2005');
    expect(limitText(limit('language', chosen('English', 'French')))).toBe('Language English, French');
    expect(limitText(limit('humans', chosen('yes')))).toBe('Humans');
  });
});

test('the picture escapes what people wrote, and shows every step', () => {
  const step = {
    text: 'Language <b>',
    way: 'own limit',
    reason: 'a & b',
    remains: 1200,
    lost: 30,
    lacking: 4,
  };
  const svg = profilePicture({
    title: '"Light"',
    source: 'A database',
    before: 1230,
    steps: [step, { ...step, lost: 0 }],
  });
  expect(svg).toContain('Language &lt;b&gt;');
  expect(svg).toContain('a &amp; b');
  expect(svg.match(/−30|±0/g)).toEqual(['−30', '±0']);
  expect(svg).not.toContain('<b>');
});
