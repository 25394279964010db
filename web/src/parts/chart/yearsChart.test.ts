import { everyYear, yearCounts } from './yearsChart.js';

test('years without records are drawn too, so that a gap is seen as one', () => {
  expect(
    everyYear(
      yearCounts([
        { value: '2020', count: 3 },
        { value: '2023', count: 1 },
      ]),
    ),
  ).toEqual([
    { year: 2020, count: 3 },
    { year: 2021, count: 0 },
    { year: 2022, count: 0 },
    { year: 2023, count: 1 },
  ]);
});

test('what a database gives as a year and is none is left out, and one that is centuries off too', () => {
  const odd = ['n.d.', '', '20', '2019.5', '-3', 'Infinity'].map((value) => ({ value, count: 9 }));
  expect(yearCounts([...odd, { value: '2021', count: 2 }])).toEqual([{ year: 2021, count: 2 }]);
  expect(everyYear(yearCounts(odd.slice(0, 2)))).toEqual([]);
});
